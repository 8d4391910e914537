package escrel.core.calibre;

/** What a part is to the ordering rules, whatever it is called on its sheet. Most parts have none of these. */
public enum Role {
    CASE_BACK,
    /** A part of the case that comes off only when it is wanted: a crystal of a case opened at the back. */
    STAYS_IN_CASE,
    STEM,
    HANDS,
    DIAL,
    HOUR_WHEEL,
    MINUTE_WHEEL,
    CANNON_PINION,
    BALANCE_COCK,
    POWER_DOWN,
    PALLET_BRIDGE,
    PALLET_FORK,
    ESCAPE_WHEEL,
    RATCHET_WHEEL,
    CROWN_WHEEL,
    TRAIN_BRIDGE,
    BARREL_BRIDGE,
    BARREL,
    MAINSPRING
}
