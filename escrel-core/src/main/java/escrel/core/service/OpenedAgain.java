package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * The movement is opened again, whole or by a way in: a new round begins. Recorded twice before anything comes off, the
 * latest counts. Source: craft 9.
 *
 * @param target code of the part to which it is opened and no further; empty for the whole movement
 * @param words what is to be done; may be empty
 */
public record OpenedAgain(Reason reason, String target, String words) implements Step {
    /** Why a movement is opened again. */
    public enum Reason {
        POOR_AMPLITUDE("poor amplitude"),
        BEAT_ERROR("beat error"),
        NEW_PART("a new part arrived"),
        FORGOTTEN("something was forgotten"),
        STOPS("it stops"),
        GUARANTEE("guarantee"),
        OTHER("another reason"),
        /** Opened without a word, or in a job of before it was asked. */
        NOT_SAID("reason not said");

        private final String words;

        Reason(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    public OpenedAgain {
        target = target == null ? "" : target;
        words = words == null ? "" : words;
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return target.isEmpty() ? this : new OpenedAgain(reason, code.apply(target), words);
    }
}
