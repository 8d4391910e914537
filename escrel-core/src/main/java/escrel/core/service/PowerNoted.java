package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * Something about the power that is no letting down: it was wound, or hidden power let go at a part, or a way of letting
 * down was tried and refused. One act at any step. Source: craft 2.7.
 *
 * @param what happened
 * @param part code of the part at which it showed or was tried; empty when it does not matter
 * @param words may be empty
 */
public record PowerNoted(What what, String part, String words) implements Step {
    /** What can be noted of the power. */
    public enum What {
        WOUND("wound"),
        /** A gummed spring held power nobody could feel; it let go only now, and is down. */
        LET_GO_NOW("hidden power let go only now"),
        CROWN_REFUSED("letting down by the crown was tried and refused"),
        RATCHET_REFUSED("letting down by the ratchet screw was tried and refused");

        private final String words;

        What(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }

        /** Whether a way of letting down was refused, so that the train is the way left. */
        public boolean isRefusal() {
            return this == CROWN_REFUSED || this == RATCHET_REFUSED;
        }
    }

    public PowerNoted {
        part = part == null ? "" : part;
        words = words == null ? "" : words;
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return part.isEmpty() ? this : new PowerNoted(what, code.apply(part), words);
    }
}
