package escrel.core;

/**
 * Something went wrong that the person at the bench can put right. It carries three plain sentences instead of a code:
 * what happened, what is safe, what to do. A slip of ours is an {@link IllegalArgumentException} instead; a broken rule
 * of the craft is no exception at all but a warning.
 */
public class MendableException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String whatHappened;
    private final String whatIsSafe;
    private final String whatToDo;

    /**
     * @param whatHappened one sentence naming the culprit with its value
     * @param whatIsSafe one sentence saying what has not changed
     * @param whatToDo one sentence with the cure
     */
    public MendableException(String whatHappened, String whatIsSafe, String whatToDo) {
        super(whatHappened);
        this.whatHappened = whatHappened;
        this.whatIsSafe = whatIsSafe;
        this.whatToDo = whatToDo;
    }

    /** What happened, in one sentence. */
    public String whatHappened() {
        return whatHappened;
    }

    /** What is untouched by it. */
    public String whatIsSafe() {
        return whatIsSafe;
    }

    /** What the user can do about it. */
    public String whatToDo() {
        return whatToDo;
    }
}
