package escrel.core.condition;

/** The one scale of condition. */
public enum Grade {
    AS_NEW("0"),
    GOOD("1"),
    WORN("2"),
    MEND("3"),
    BROKEN("4"),
    MISSING("M"),
    NOT_JUDGED("U");

    private final String mark;

    Grade(String mark) {
        this.mark = mark;
    }

    /** The character written for it: 0 to 4, M or U. */
    public String mark() {
        return mark;
    }

    /** Whether a decision is due: 3, 4 and M. */
    public boolean needsDecision() {
        return this == MEND || this == BROKEN || this == MISSING;
    }
}
