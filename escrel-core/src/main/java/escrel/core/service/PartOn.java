package escrel.core.service;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

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

    @Override
    public @Nullable Side workedOn(CalibreSheet sheet) {
        return sheet.part(part).map(Part::side).orElse(null);
    }
}
