package escrel.core.lubrication;

import escrel.core.service.Step;

/**
 * A point was left out on purpose.
 *
 * @param point code on the sheet
 * @param reason printed with the accounts
 */
public record OilSkipped(String point, String reason) implements Step {}
