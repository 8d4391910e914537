package escrel.core.teardown;

/**
 * One thing before another, with its weight and its reason.
 *
 * @param first code of what comes first
 * @param then code of what waits for it
 * @param why in words, as it is said to the restorer
 */
public record Constraint(String first, String then, Weight weight, String why) {
    /** From the one that is never broken by a proposal to the one that gives way first. Source: M15. */
    public enum Weight {
        HOLD,
        SAFETY,
        SCHOOL,
        /** Was always so in the teardowns seen; nobody stated it. Source: M16. */
        SEEN
    }
}
