package escrel.core.service;

import org.jspecify.annotations.Nullable;

/**
 * What is to be done with the watch, as agreed; the latest counts. Not every job is a teardown. Jobs of before it was
 * asked have none: what is due in them is what was due then. Source: craft 2.18.
 *
 * @param words what was said; may be empty
 * @param book by which the job is kept, where this is its first agreement; nothing in records of before the third book
 */
public record WorkAgreed(Work work, String words, @Nullable RuleBook book) implements Step {
    /** What a job can be. */
    public enum Work {
        SERVICE("full service"),
        REGULATE("regulate only"),
        DEMAGNETISE("demagnetise only"),
        CASE_WORK("case work only"),
        DECLINED("declined"),
        RETURNED_UNOPENED("returned unopened");

        private final String words;

        Work(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }

        /** Whether the watch leaves without anything having been done to it. */
        public boolean isLeftAlone() {
            return this == DECLINED || this == RETURNED_UNOPENED;
        }

        /** Whether readings with which it leaves belong to it. */
        public boolean endsWithReadings() {
            return this == SERVICE || this == REGULATE || this == DEMAGNETISE;
        }
    }

    /** An agreement by the rules of before the third book. */
    public WorkAgreed(Work work, String words) {
        this(work, words, null);
    }

    /** An agreement of today. */
    public static WorkAgreed today(Work work, String words) {
        return new WorkAgreed(work, words, RuleBook.FIFTH);
    }

    public WorkAgreed {
        words = words == null ? "" : words;
    }
}
