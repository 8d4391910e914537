package escrel.core.timing.readings;

/** What was fitted while it was read; readings are only alike when this is. */
public enum Fitted {
    BARE_MOVEMENT,
    WITH_CALENDAR,
    WITH_CHRONOGRAPH,
    WITH_DIAL,
    CASED
}
