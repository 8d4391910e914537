package escrel.core.timing.readings;

/** What the chronograph did while it was read; amplitudes with it on and off are never mixed. */
public enum Chronograph {
    NOT_SAID,
    STOPPED,
    RUNNING
}
