package escrel.core.learning;

import escrel.core.service.Step;
import java.util.function.UnaryOperator;

/**
 * A part was pinned to its place on a photograph; the latest counts.
 *
 * @param x from the centre towards 3, seen from the dial, as a fraction of the plate's radius; within ±1.3
 * @param y towards 12
 */
public record Pinned(String part, double x, double y) implements Step {
    private static final double FARTHEST = 1.3;

    public Pinned {
        if (!(Math.hypot(x, y) <= FARTHEST)) {
            throw new IllegalArgumentException("a pin must lie within 1.3 radii of the centre, was " + x + ", " + y);
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Pinned(code.apply(part), x, y);
    }
}
