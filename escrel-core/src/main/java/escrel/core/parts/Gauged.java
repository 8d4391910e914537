package escrel.core.parts;

import escrel.core.service.Step;
import java.util.function.UnaryOperator;

/**
 * Something was measured on a part.
 *
 * @param part code on the sheet
 * @param what which measure
 * @param millimetres more than 0, at most 2000 (a mainspring's length)
 */
public record Gauged(String part, What what, double millimetres) implements Step {
    /** What is measured on the way down. */
    public enum What {
        END_SHAKE,
        SIDE_SHAKE,
        SCREW_LENGTH,
        SPRING_WIDTH,
        SPRING_THICKNESS,
        SPRING_LENGTH,
        BARREL_INSIDE_DIAMETER,
        ARBOR_DIAMETER,
        OTHER
    }

    public Gauged {
        if (!(millimetres > 0 && millimetres <= 2000)) {
            throw new IllegalArgumentException(what + " must lie above 0 and at most 2000 mm, was " + millimetres);
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Gauged(code.apply(part), what, millimetres);
    }
}
