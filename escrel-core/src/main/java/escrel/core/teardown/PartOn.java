package escrel.core.teardown;

import escrel.core.service.Step;
import java.util.function.UnaryOperator;

/**
 * A part (or its replacement) went on again for good. A visit is a {@link Visit}.
 *
 * @param part code on the sheet
 * @param note may be empty
 * @param inSpiteOf why the restorer went on although a rule spoke against it; empty when none did
 */
public record PartOn(String part, String note, String inSpiteOf) implements Step {
    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new PartOn(code.apply(part), note, inSpiteOf);
    }

    /** An uneventful step. */
    public static PartOn plain(String part) {
        return new PartOn(part, "", "");
    }
}
