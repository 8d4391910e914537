package escrel.core.supply;

import escrel.core.service.Step;

/**
 * A donor is no more: used up, sold, completed.
 *
 * @param id as it was kept
 */
public record DonorGone(String id) implements Step {}
