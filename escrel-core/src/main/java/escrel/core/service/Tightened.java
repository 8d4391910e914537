package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * A screw or part that was eased in its place was tightened again.
 *
 * @param part code on the sheet
 */
public record Tightened(String part) implements Step {
    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Tightened(code.apply(part));
    }
}
