package escrel.core.timing.readings;

/** At which moment of the service a reading was taken, in the order in which they happen. */
public enum ReadingState {
    AS_RECEIVED,
    AFTER_DEMAGNETISING,
    FIRST_RUN,
    RUN_IN,
    FINAL_UNCASED,
    FINAL_CASED;

    /** Whether the movement had not been opened yet. */
    public boolean isBeforeService() {
        return this == AS_RECEIVED || this == AFTER_DEMAGNETISING;
    }
}
