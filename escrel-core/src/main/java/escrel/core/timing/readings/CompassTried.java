package escrel.core.timing.readings;

import escrel.core.service.Step;

/**
 * A compass was brought near.
 *
 * @param follows how far the needle follows
 * @param source whether a needle was watched or simulated
 */
public record CompassTried(Follows follows, Source source, String note) implements Step {
    /** How far a compass needle follows the watch. */
    public enum Follows {
        NOT,
        SLIGHTLY,
        STRONGLY;

        /** Whether the watch is to be demagnetised and read again before it is opened. */
        public boolean isMagnetised() {
            return this != NOT;
        }
    }
}
