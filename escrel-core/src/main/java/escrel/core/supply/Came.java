package escrel.core.supply;

import escrel.core.service.Step;

/**
 * What was ordered came, or came back. Said again of one that was not checked yet, it is the check.
 *
 * @param order sequence of the order
 * @param words what was seen; needed when it is not right
 */
public record Came(int order, Judgement judgement, String words) implements Step {
    /** What it looks like. */
    public enum Judgement {
        /** It is here and nobody looked yet. */
        UNCHECKED("not checked yet"),
        RIGHT("checked and right"),
        WRONG("not right");

        private final String words;

        Judgement(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    public Came {
        words = words == null ? "" : words.strip();
        if (judgement == Judgement.WRONG && words.isEmpty()) {
            throw new IllegalArgumentException("What is wrong with it is not said");
        }
    }
}
