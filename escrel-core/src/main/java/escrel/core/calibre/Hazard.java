package escrel.core.calibre;

/** What can go wrong with a part, said before the step. */
public enum Hazard {
    /** A spring or tiny part that jumps: hold it down. */
    FLIES,
    /** Bends or breaks under its own weight or a touch. */
    FRAGILE,
    /** A long, thin pivot passes through a bridge or the plate: lift square. */
    LONG_PIVOT,
    /** Coated by its maker: never into the machine. */
    COATED,
    /** Looks like a screw and is an adjuster: photograph, do not turn. */
    ECCENTRIC,
    /** Under tension until the power is let down. */
    TENSION,
    /** Friction fit: draw along its axis. */
    FRICTION_FIT
}
