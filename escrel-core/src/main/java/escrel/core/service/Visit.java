package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * A part is refitted for a while (balance on the bare plate for washing) or comes off again. A visit never counts as
 * assembled.
 *
 * @param part code on the sheet
 * @param act whether the visit begins or ends
 * @param why in words
 */
public record Visit(String part, Act act, String why) implements Step {
    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Visit(code.apply(part), act, why);
    }

    /** Beginning or end of a visit. */
    public enum Act {
        BEGIN,
        END
    }
}
