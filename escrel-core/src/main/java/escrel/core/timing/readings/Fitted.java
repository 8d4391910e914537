package escrel.core.timing.readings;

/** What was fitted while it was read; readings are only alike when this is. */
public enum Fitted {
    BARE_MOVEMENT,
    WITH_CALENDAR,
    WITH_CHRONOGRAPH,
    WITH_DIAL,
    CASED,
    /** A file of another machine, or a form, that says nothing of it: never taken for cased. */
    NOT_SAID
}
