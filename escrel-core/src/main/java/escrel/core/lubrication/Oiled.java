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
 */
public record Oiled(String point, LubricantClass lubricant, String note) implements Step {
    @Override
    public @Nullable Side workedOn(CalibreSheet sheet) {
        return sheet.oilPoint(point).map(OilPoint::side).orElse(null);
    }
}
