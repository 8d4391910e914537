package escrel.core.learning;

import escrel.core.service.Step;
import java.util.function.UnaryOperator;

/**
 * A part came away together with another and is parted from it in the hand.
 *
 * @param part code of the smaller part
 * @param unit code of what it came away with, or empty when it is no unit after all
 */
public record CameTogether(String part, String unit) implements Step {
    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new CameTogether(code.apply(part), unit.isEmpty() ? unit : code.apply(unit));
    }
}
