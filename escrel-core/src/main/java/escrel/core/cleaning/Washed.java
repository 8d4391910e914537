package escrel.core.cleaning;

import escrel.core.calibre.Wash;
import escrel.core.service.Step;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Parts were cleaned together in one way.
 *
 * @param parts codes on the sheet, at least one
 * @param way how
 * @param inSpiteOf why, when a part went into the machine that should not; empty otherwise
 */
public record Washed(List<String> parts, Wash way, String inSpiteOf) implements Step {
    public Washed {
        parts = List.copyOf(parts);
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("a wash needs at least one part");
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Washed(parts.stream().map(code).toList(), way, inSpiteOf);
    }
}
