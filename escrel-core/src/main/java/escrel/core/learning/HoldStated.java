package escrel.core.learning;

import escrel.core.service.Step;
import java.util.function.UnaryOperator;

/**
 * Somebody said what held a part.
 *
 * @param part code of what was held
 * @param by code of what held or covered it
 * @param why in words: "was under", "held by the same screws as"
 */
public record HoldStated(String part, String by, String why) implements Step {
    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new HoldStated(code.apply(part), code.apply(by), why);
    }
}
