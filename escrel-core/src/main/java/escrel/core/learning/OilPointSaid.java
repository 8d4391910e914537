package escrel.core.learning;

import escrel.core.calibre.LubricantClass;
import escrel.core.service.Step;
import java.util.function.UnaryOperator;

/**
 * A lubrication point that no sheet knew was said in the act of oiling it; it stays.
 *
 * @param code of the point, unique in the movement
 * @param part it belongs to
 * @param amount in words
 */
public record OilPointSaid(String code, String part, String name, LubricantClass lubricant, String amount)
        implements Step {
    @Override
    public Step withParts(UnaryOperator<String> to) {
        return new OilPointSaid(code, to.apply(part), name, lubricant, amount);
    }
}
