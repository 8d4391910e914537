package escrel.core.timing.comparison;

/** What a difference amounts to. */
public enum Verdict {
    BETTER,
    WORSE,
    /** No change beyond the noise. */
    NO_CHANGE,
    /** It moved beyond the noise, but was on target before and is on target now. */
    STILL_ON_TARGET
}
