package escrel.core.calibre;

/** Groups of parts, as they are stripped, washed and laid out together. Source: craft vocabulary. */
public enum Group {
    CASE,
    DIAL_AND_HANDS,
    AUTOMATIC,
    CALENDAR,
    MOTION_WORK,
    KEYLESS,
    BALANCE_AND_ESCAPEMENT,
    TRAIN,
    BARREL,
    CHRONOGRAPH,
    ALARM,
    PLATES;

    /** Whether it is built onto a movement that runs already: calendar, dial, case, automatic and chronograph work. */
    public boolean coversTheRunningMovement() {
        return this == CALENDAR || this == DIAL_AND_HANDS || this == CASE || this == AUTOMATIC || this == CHRONOGRAPH;
    }

    /** Whether the movement stands still without a part of it: balance and escapement, train, barrel. */
    public boolean stopsTheMovement() {
        return this == BALANCE_AND_ESCAPEMENT || this == TRAIN || this == BARREL;
    }
}
