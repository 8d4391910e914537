package escrel.core.parts;

import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.service.Step;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Something was found.
 *
 * @param part code on the sheet; nothing for the watch as a whole, or with a place for the main plate
 * @param words what exactly
 * @param place within the part; nothing for the part as a whole
 */
public record FindingRaised(
        @Nullable String part,
        Grade grade,
        Defect defect,
        Origin origin,
        String words,
        @Nullable Place place) implements Step {
    /** A finding on a part as a whole, or on the watch. */
    public FindingRaised(@Nullable String part, Grade grade, Defect defect, Origin origin, String words) {
        this(part, grade, defect, origin, words, null);
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return part == null ? this : new FindingRaised(code.apply(part), grade, defect, origin, words, place);
    }

    @Override
    public @Nullable String emptyHome() {
        return part != null && place == null && grade == Grade.MISSING && origin != Origin.THIS_SERVICE ? part : null;
    }
}
