package escrel.core.service;

/**
 * By which rules a job is kept. A job begun before it was asked what is agreed goes on by the rules it was begun with, so
 * that an earlier record means what it meant; opening it again takes it to the second book.
 */
public enum RuleBook {
    /** What was decided counts as settled; rinsing, looking and the routine tests are not asked for. */
    FIRST,
    /** What was decided counts once it is done; a part lifted again owes its look, a new one its rinse. */
    SECOND,
    /** As the second; a movement no sheet knows owes the tests of the kinds of part it has. */
    THIRD,
    /** As the third; another bridge owes the end-shake under it, and an end-shake counts where it was felt. */
    FOURTH,
    /** As the fourth; a date is tried three times: calendar built, dial on, hands on. Every new job is kept by it. */
    FIFTH;

    /** Whether all that was decided, cleaned and lifted is asked for. */
    public boolean asksForAll() {
        return this != FIRST;
    }

    /** Whether a movement without a sheet owes tests by the kinds of its parts. */
    public boolean testsByKind() {
        return compareTo(THIRD) >= 0;
    }

    /** Whether the date change is tried again with the dial on and with the hands on. */
    public boolean dateChangeThrice() {
        return compareTo(FIFTH) >= 0;
    }

    /** Whether another bridge owes the end-shake of what runs under it, and play counts only for the part it was felt on. */
    public boolean shakeWhereItBelongs() {
        return compareTo(FOURTH) >= 0;
    }
}
