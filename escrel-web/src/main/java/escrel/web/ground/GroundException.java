package escrel.web.ground;

/** Why the workshop's folder cannot be used, in the three sentences a person needs. */
public final class GroundException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String happened;
    private final String safe;
    private final String todo;

    public GroundException(String happened, String safe, String todo) {
        super(happened + ".\n" + safe + "\n" + todo);
        this.happened = happened;
        this.safe = safe;
        this.todo = todo;
    }

    public String whatHappened() {
        return happened;
    }

    public String whatIsSafe() {
        return safe;
    }

    public String whatToDo() {
        return todo;
    }
}
