package escrel.core.calibre;

/** Classes of watch that have targets of their own. Source: M11. */
public enum WatchClass {
    MODERN_FAST,
    MODERN_SLOW,
    CHRONOGRAPH,
    VINTAGE_SHOCK_SETTING,
    VINTAGE_NO_SHOCK_SETTING,
    POCKET,
    VERY_SMALL
}
