package escrel.core.supply;

import escrel.core.service.Step;

/**
 * It is kept no more.
 *
 * @param id of the stock
 */
public record StockDropped(String id) implements Step {}
