package escrel.core.lubrication;

import escrel.core.calibre.LubricantClass;
import escrel.core.service.Step;

/**
 * A point was lubricated.
 *
 * @param point code on the sheet
 * @param lubricant the class used, which may differ from the sheet's
 */
public record Oiled(String point, LubricantClass lubricant, String note) implements Step {}
