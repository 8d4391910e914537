package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * Something that was done, seen, measured or decided in a job. Implemented by records of the concepts; never changed
 * once recorded.
 */
public interface Step {
    /** Whether the undo key may take it back; taking back is itself a step and is not undone. */
    default boolean canBeTakenBack() {
        return true;
    }

    /**
     * The same step with its parts called by other codes: steps recorded under working names are read under the names of
     * the sheet the job was bound to later. A step that speaks of no part is returned as it is.
     */
    default Step withParts(UnaryOperator<String> code) {
        return this;
    }
}
