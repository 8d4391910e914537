package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * A part that was eased in its place is tight again, or its screws that were still to come are in.
 *
 * @param part code on the sheet
 */
public record Tightened(String part) implements Step {
    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Tightened(code.apply(part));
    }
}
