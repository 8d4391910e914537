package escrel.core.condition;

/** Kinds of defect. */
public enum Defect {
    DIRTY,
    DRY,
    GUMMED,
    WORN,
    SCORED,
    BENT,
    CRACKED,
    CHIPPED,
    BROKEN,
    RUSTED,
    CORRODED,
    SET,
    MAGNETISED,
    LOOSE,
    OVER_TIGHT,
    OUT_OF_ROUND,
    WRONG_PART,
    ALTERED,
    PLATING_WORN,
    FADED,
    ABSENT,
    OTHER
}
