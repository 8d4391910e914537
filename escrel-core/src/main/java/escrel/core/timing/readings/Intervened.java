package escrel.core.timing.readings;

import escrel.core.service.Step;

/**
 * Something was done between two sets of readings that takes no part off for good, or that the parts alone do not tell:
 * named, so that the turn can say what lay between. Source: craft 9.
 *
 * @param words how far, how much; may be empty
 */
public record Intervened(What what, String words) implements Step {
    /** What lies between two sets of readings. */
    public enum What {
        COLLET_TURNED("collet turned on the staff"),
        STUD_MOVED("stud carrier moved"),
        REGULATOR_MOVED("regulator moved"),
        POISED("balance poised"),
        HAIRSPRING_SET("hairspring set"),
        END_SHAKE_SET("end-shake corrected"),
        RE_OILED("re-oiled"),
        OTHER("something else");

        private final String words;

        What(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    public Intervened {
        words = words == null ? "" : words;
    }
}
