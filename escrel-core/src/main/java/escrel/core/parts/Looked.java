package escrel.core.parts;

import escrel.core.service.Step;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Clean parts were looked at under the microscope. What was found is a finding of its own; this says that the rest is as
 * it should be. Source: craft 2.9, second inspection.
 *
 * @param parts codes on the sheet, at least one
 */
public record Looked(List<String> parts) implements Step {
    public Looked {
        parts = List.copyOf(parts);
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("a look needs at least one part");
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Looked(parts.stream().map(code).toList());
    }
}
