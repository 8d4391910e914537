package escrel.core.timing.readings;

/** How far the watch was wound. */
public enum Wound {
    FULL,
    AFTER_12_H,
    AFTER_24_H,
    PART,
    UNKNOWN
}
