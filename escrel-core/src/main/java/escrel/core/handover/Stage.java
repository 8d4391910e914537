package escrel.core.handover;

/** How far a job has come; worked out from what was recorded, never set by hand. */
public enum Stage {
    /** The watch is here; no reading and nothing off yet. */
    ARRIVED,
    /** Read or found not to run; nothing off yet. */
    READ,
    /** Parts are coming off, in the first round or a later one. */
    STRIPPING,
    /** Bare; findings wait for decisions or parts for the wash. */
    INSPECTING,
    /** Clean; ready to go together. */
    CLEAN,
    /** Parts are going on again. */
    CLIMBING,
    /** Whole again; accounts or last readings are open. */
    ADJUSTING,
    /** Nothing stands in the way. */
    READY,
    HANDED_OVER
}
