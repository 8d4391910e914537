package escrel.core.timing.readings;

/** What the trace looked like. */
public enum Trace {
    CLEAN,
    NOISY,
    WANDERING,
    NOT_SAID
}
