package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * A home stays empty on purpose.
 *
 * @param part code on the sheet
 * @param reason printed in the report
 */
public record LeftOut(String part, String reason) implements Step {
    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new LeftOut(code.apply(part), reason);
    }
}
