package escrel.core.parts;

import escrel.core.condition.Grade;
import escrel.core.service.Step;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Parts were looked at one by one and judged as a whole, dirty or clean. What is to be mended, broken or missing is a
 * finding, which says what. Source: craft 2.9.
 *
 * @param parts codes on the sheet, at least one
 * @param grade as new, good or worn; or that it cannot be told yet
 */
public record Judged(List<String> parts, Grade grade) implements Step {
    public Judged {
        parts = List.copyOf(parts);
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("a judgement needs at least one part");
        }
        if (grade.needsDecision()) {
            throw new IllegalArgumentException("grade " + grade.mark() + " is a finding: say what was found");
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Judged(parts.stream().map(code).toList(), grade);
    }
}
