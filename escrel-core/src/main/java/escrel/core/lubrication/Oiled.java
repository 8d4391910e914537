package escrel.core.lubrication;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Side;
import escrel.core.service.Step;
import org.jspecify.annotations.Nullable;

/**
 * A point was lubricated.
 *
 * @param point code on the sheet
 * @param lubricant the class used, which may differ from the sheet's
 * @param bottle from which, in words; nothing where no bottle of the class was kept
 */
public record Oiled(
        String point,
        LubricantClass lubricant,
        String note,
        @Nullable String bottle) implements Step {
    /** From no bottle that is known. */
    public Oiled(String point, LubricantClass lubricant, String note) {
        this(point, lubricant, note, null);
    }

    @Override
    public @Nullable Side workedOn(CalibreSheet sheet) {
        return sheet.oilPoint(point).map(OilPoint::side).orElse(null);
    }
}
