package escrel.core.learning;

import escrel.core.service.Step;
import java.util.function.UnaryOperator;

/** Somebody knows better what a part is called; the old name stays as an alias. */
public record PartRenamed(String part, String name) implements Step {
    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new PartRenamed(code.apply(part), name);
    }
}
