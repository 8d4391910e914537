package escrel.core.triage;

/** What is tried or looked at before anything is opened. Source: craft 2.1. */
public enum Check {
    BALANCE_SWINGS("the balance swings when turned gently"),
    WINDS("it winds"),
    SETS("it sets"),
    DATE_CHANGES("the date changes"),
    DIAL_SOUND("the dial is sound"),
    HANDS_SOUND("the hands are sound"),
    CASE_SOUND("case and crystal are sound"),
    DRY_INSIDE("dry inside, no mould"),
    CHRONOGRAPH_STARTS("the chronograph starts and stops"),
    CHRONOGRAPH_RESETS("it resets to zero"),
    RESET_WHILE_RUNNING("reset while running does what this calibre's should");

    private final String words;

    Check(String words) {
        this.words = words;
    }

    /** As it is said. */
    public String words() {
        return words;
    }

    /** Whether only a chronograph is asked it. */
    public boolean isOfAChronograph() {
        return compareTo(CHRONOGRAPH_STARTS) >= 0;
    }
}
