package escrel.core.service;

import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * An observation in free words.
 *
 * @param part what it is about, or nothing
 */
public record Noted(@Nullable String part, String words) implements Step {
    @Override
    public boolean standsForItself() {
        return true;
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return part == null ? this : new Noted(code.apply(part), words);
    }
}
