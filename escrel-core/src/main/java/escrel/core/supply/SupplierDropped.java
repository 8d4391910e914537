package escrel.core.supply;

import escrel.core.service.Step;

/**
 * Nothing is bought there any more.
 *
 * @param name as it was kept
 */
public record SupplierDropped(String name) implements Step {}
