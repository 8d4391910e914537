package escrel.core.lume;

import escrel.core.service.Step;

/**
 * A point of care was seen to. Source: craft 2.2.
 *
 * @param done false takes an earlier yes back
 */
public record LumePoint(Point point, boolean done) implements Step {
    /** The points, in the order of the work. */
    public enum Point {
        MASK("mask on"),
        GLOVES("gloves on"),
        BENCH_COVERED("bench covered"),
        NOTHING_SCRAPED("nothing scraped, brushed or sanded"),
        BOXED("dial and hands boxed at once, and labelled"),
        WIPES_BAGGED("putty and wipes used on it bagged"),
        BENCH_WIPED("bench wiped damp, the cloth bagged too"),
        HANDS_WASHED("hands washed");

        private final String words;

        Point(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }
}
