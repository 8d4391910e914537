package escrel.core.timing.readings;

/** At which moment of the service a reading was taken, in the order in which they happen. */
public enum ReadingState {
    AS_RECEIVED,
    AFTER_DEMAGNETISING,
    FIRST_RUN,
    RUN_IN,
    FINAL_UNCASED,
    FINAL_CASED;

    /** Whether it is one of the readings with which the watch leaves. */
    public boolean isFinal() {
        return this == FINAL_UNCASED || this == FINAL_CASED;
    }

    /** Whether the movement had not been opened yet. */
    public boolean isBeforeService() {
        return this == AS_RECEIVED || this == AFTER_DEMAGNETISING;
    }
}
