package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * The movement was brought into a state before a part is freed: hammer in reset, crown at setting.
 *
 * @param part the part that asked for it
 * @param state in words
 */
public record StateSet(String part, String state) implements Step {
    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new StateSet(code.apply(part), state);
    }
}
