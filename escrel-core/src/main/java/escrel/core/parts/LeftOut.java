package escrel.core.parts;

import escrel.core.service.Step;

/**
 * A home stays empty on purpose.
 *
 * @param part code on the sheet
 * @param reason printed in the report
 */
public record LeftOut(String part, String reason) implements Step {}
