package escrel.core.timing.readings;

import escrel.core.service.Step;

/**
 * The watch did not run: that itself is the baseline.
 *
 * @param words what was tried
 */
public record DidNotRun(ReadingState state, String words) implements Step {}
