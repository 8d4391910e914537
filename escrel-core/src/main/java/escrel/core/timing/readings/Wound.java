package escrel.core.timing.readings;

/** How far the watch was wound. */
public enum Wound {
    FULL,
    AFTER_12_H,
    AFTER_24_H,
    /** Some other number of hours after full wind, typed. */
    AFTER_HOURS,
    PART,
    UNKNOWN
}
