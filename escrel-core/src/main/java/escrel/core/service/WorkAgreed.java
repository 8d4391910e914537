package escrel.core.service;

/**
 * What is to be done with the watch, as agreed; the latest counts. Not every job is a teardown. Jobs of before it was
 * asked have none: what is due in them is what was due then. Source: craft 2.18.
 *
 * @param words what was said; may be empty
 */
public record WorkAgreed(Work work, String words) implements Step {
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

    public WorkAgreed {
        words = words == null ? "" : words;
    }
}
