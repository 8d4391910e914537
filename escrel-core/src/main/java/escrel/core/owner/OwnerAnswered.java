package escrel.core.owner;

import escrel.core.service.Step;

/**
 * The owner answered.
 *
 * @param asked sequence of the question
 * @param words what was answered; needed where the answer is neither yes nor no
 */
public record OwnerAnswered(int asked, Answer answer, String words) implements Step {
    /** What kind of answer it is. */
    public enum Answer {
        ACCEPTED("accepted"),
        IN_PART("accepted in part"),
        DECLINED("not accepted"),
        OTHERWISE("answered");

        private final String words;

        Answer(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }

        /** Whether what exactly has to be said with it. */
        public boolean wantsWords() {
            return this == IN_PART || this == OTHERWISE;
        }
    }

    public OwnerAnswered {
        words = words == null ? "" : words.strip();
        if (answer.wantsWords() && words.isEmpty()) {
            throw new IllegalArgumentException("“" + answer.words() + "” wants the words of the answer");
        }
    }
}
