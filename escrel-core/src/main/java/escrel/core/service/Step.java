package escrel.core.service;

/**
 * Something that was done, seen, measured or decided in a job. Implemented by records of the concepts; never changed
 * once recorded.
 */
public interface Step {
    /** Whether the undo key may take it back; taking back is itself a step and is not undone. */
    default boolean canBeTakenBack() {
        return true;
    }
}
