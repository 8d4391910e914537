package escrel.core.parts;

import escrel.core.service.Step;

/**
 * A decision about a finding; a later one takes the place of an earlier one.
 *
 * @param finding key of the finding
 * @param words how it is done, or the reason
 * @param source where a replacement comes from; empty when nothing is replaced
 */
public record Decided(String finding, Decision decision, String words, String source) implements Step {}
