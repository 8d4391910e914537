package escrel.core.timing.readings;

import escrel.core.calibre.CalibreSheet;
import escrel.core.service.Step;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * A position was read. A later reading of the same position on the same occasion takes the place of an earlier one.
 *
 * @param woundHours hours since full wind, when typed
 * @param chronograph what it did; not said in files of before it was asked
 */
public record ReadingTaken(
        ReadingState state,
        Fitted fitted,
        Wound wound,
        @Nullable Double woundHours,
        @Nullable Chronograph chronograph,
        Reading reading)
        implements Step {
    public ReadingTaken {
        chronograph = chronograph == null ? Chronograph.NOT_SAID : chronograph;
        if (woundHours != null && !(woundHours >= 0 && woundHours < 1000)) {
            throw new IllegalArgumentException("hours since full wind must lie between 0 and 1000, was " + woundHours);
        }
    }

    /** A reading of which nothing is said of the chronograph. */
    public ReadingTaken(ReadingState state, Fitted fitted, Wound wound, Reading reading) {
        this(state, fitted, wound, null, null, reading);
    }

    /** The occasion it belongs to. */
    public Occasion occasion() {
        return new Occasion(state, fitted, wound, woundHours, chronograph);
    }

    /** Hours since full wind, where it is known. */
    public OptionalDouble hoursSinceWound() {
        return switch (wound) {
            case FULL -> OptionalDouble.of(0);
            case AFTER_12_H -> OptionalDouble.of(12);
            case AFTER_24_H -> OptionalDouble.of(24);
            case AFTER_HOURS -> woundHours == null ? OptionalDouble.empty() : OptionalDouble.of(woundHours);
            case PART, UNKNOWN -> OptionalDouble.empty();
        };
    }

    /** Whoever read it has wound it; after it was opened, the reading also ends the way up. */
    @Override
    public Effect effect(CalibreSheet sheet) {
        return state.isBeforeService() ? Effect.WINDS : Effect.READS_RUNNING;
    }
}
