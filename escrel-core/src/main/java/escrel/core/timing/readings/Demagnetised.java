package escrel.core.timing.readings;

import escrel.core.service.Step;

/**
 * The watch was drawn through the demagnetiser.
 *
 * @param passes how many slow, even passes
 */
public record Demagnetised(int passes, String note) implements Step {}
