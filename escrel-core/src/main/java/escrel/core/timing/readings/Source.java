package escrel.core.timing.readings;

/** Where a reading comes from; said wherever it is shown. */
public enum Source {
    /** Read off a timing machine and typed. */
    TYPED,
    /** Read by a timing machine and taken from its file. */
    IMPORTED,
    /** Worked out here from a recording of the watch. */
    RECORDING,
    /** Worked out here from a recording of a simulated movement. */
    SIMULATED
}
