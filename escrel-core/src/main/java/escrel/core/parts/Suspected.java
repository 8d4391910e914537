package escrel.core.parts;

import escrel.core.service.Step;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Something is suspected and not seen yet: the first half of a diagnosis. Source: craft 2.9.
 *
 * @param part code on the sheet; nothing for the watch as a whole
 * @param words what may be so
 */
public record Suspected(@Nullable String part, String words) implements Step {
    @Override
    public Step withParts(UnaryOperator<String> code) {
        return part == null ? this : new Suspected(code.apply(part), words);
    }
}
