package escrel.core.triage;

import escrel.core.service.Step;

/**
 * Something was tried or looked at on arrival; the latest of each counts.
 *
 * @param words what was seen; may be empty
 */
public record Checked(Check check, Outcome outcome, String words) implements Step {
    /** How it was. */
    public enum Outcome {
        YES("yes"),
        NO("no"),
        NOT_TRIED("not tried"),
        /** There is none: a watch without a date. */
        NONE("it has none");

        private final String words;

        Outcome(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    public Checked {
        words = words == null ? "" : words.strip();
    }
}
