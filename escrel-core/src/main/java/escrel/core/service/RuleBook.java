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
    /** As the second; a movement no sheet knows owes the tests of the kinds of part it has. Every new job is kept by it. */
    THIRD;

    /** Whether all that was decided, cleaned and lifted is asked for. */
    public boolean asksForAll() {
        return this != FIRST;
    }

    /** Whether a movement without a sheet owes tests by the kinds of its parts. */
    public boolean testsByKind() {
        return this == THIRD;
    }
}
