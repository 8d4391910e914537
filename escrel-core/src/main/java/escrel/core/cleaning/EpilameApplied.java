package escrel.core.cleaning;

import escrel.core.service.Step;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Parts were given the oil-repellent film. Source: craft 2.12.
 *
 * @param parts codes on the sheet, at least one
 */
public record EpilameApplied(List<String> parts, How how) implements Step {
    /** How it was put on. */
    public enum How {
        DIPPED,
        DROPPED
    }

    public EpilameApplied {
        parts = List.copyOf(parts);
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("a film needs at least one part");
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new EpilameApplied(parts.stream().map(code).toList(), how);
    }
}
