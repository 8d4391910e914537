package escrel.core.service;

import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Parts stay where they are in this service: fitted in the movement, or together in the unit they came off with.
 *
 * @param parts codes on the sheet, at least one
 * @param reason in words; may be empty
 */
public record LeftFitted(List<String> parts, String reason) implements Step {
    public LeftFitted {
        parts = List.copyOf(parts);
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("something must be left fitted, no part was named");
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new LeftFitted(parts.stream().map(code).toList(), reason);
    }
}
