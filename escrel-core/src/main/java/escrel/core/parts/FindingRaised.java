package escrel.core.parts;

import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.service.Step;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Something was found.
 *
 * @param part code on the sheet, or nothing for the watch as a whole
 * @param words what exactly
 */
public record FindingRaised(@Nullable String part, Grade grade, Defect defect, Origin origin, String words)
        implements Step {
    @Override
    public Step withParts(UnaryOperator<String> code) {
        return part == null ? this : new FindingRaised(code.apply(part), grade, defect, origin, words);
    }

    @Override
    public @Nullable String emptyHome() {
        return part != null && grade == Grade.MISSING && origin != Origin.THIS_SERVICE ? part : null;
    }
}
