package escrel.core.parts;

/** What can be decided about a finding. */
public enum Decision {
    CLEAN_AND_REUSE,
    ADJUST,
    REPAIR,
    MAKE,
    REPLACE_NEW,
    REPLACE_DONOR,
    SEND_OUT,
    LEAVE_BY_AGREEMENT,
    REUSE_ON_CONDITION,
    /** The old one is refitted until the new one arrives: keeps the job open. */
    INTERIM;

    /** Whether another part takes the place of the old one. */
    public boolean replaces() {
        return this == REPLACE_NEW || this == REPLACE_DONOR || this == MAKE;
    }

    /** Whether a reason must be given, because nothing is mended. */
    public boolean needsReason() {
        return this == LEAVE_BY_AGREEMENT || this == REUSE_ON_CONDITION || this == INTERIM;
    }
}
