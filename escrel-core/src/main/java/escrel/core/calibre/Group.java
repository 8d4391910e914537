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
    PLATES
}
