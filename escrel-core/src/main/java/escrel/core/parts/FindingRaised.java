package escrel.core.parts;

import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import java.util.Locale;
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

    /** What it is, in words: the defect, and what exactly where that says more; empty where neither was said. */
    public String what() {
        return what(defect, words);
    }

    static String what(Defect defect, String words) {
        String kind = defect == Defect.OTHER ? "" : StepKind.said(defect);
        if (kind.isEmpty() || words.toLowerCase(Locale.ROOT).contains(kind)) {
            return words;
        }
        return words.isBlank() ? kind : kind + ": " + words;
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
