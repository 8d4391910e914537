package escrel.core.service;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Something that was done, seen, measured or decided in a job. Implemented by records of the concepts; never changed
 * once recorded.
 */
public interface Step {
    /** What a step says about the movement besides what it records: whoever read it has wound it. */
    enum Effect {
        NONE,
        /** The power is up after it. */
        WINDS,
        /** The power is up after it, and the movement was read since it was opened. */
        READS_RUNNING
    }

    /** Whether the undo key may take it back; taking back is itself a step and is not undone. */
    default boolean canBeTakenBack() {
        return true;
    }

    /**
     * Whether it stands for itself, whatever else is recorded: a photo that comes from another hand meanwhile changes nothing
     * of what a page shows to be done next.
     */
    default boolean standsForItself() {
        return false;
    }

    /**
     * The same step with its parts called by other codes: steps recorded under working names are read under the names of
     * the sheet the job was bound to later. A step that speaks of no part is returned as it is.
     */
    default Step withParts(UnaryOperator<String> code) {
        return this;
    }

    /** What it says about the movement besides what it records. */
    default Effect effect(CalibreSheet sheet) {
        return Effect.NONE;
    }

    /** The side that lay up while it was done; nothing when it does not say. */
    default @Nullable Side workedOn(CalibreSheet sheet) {
        return null;
    }

    /** Code of the part whose home it says was empty on arrival; nothing for nearly every step. */
    default @Nullable String emptyHome() {
        return null;
    }
}
