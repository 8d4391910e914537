package escrel.core.parts;

import escrel.core.service.Step;

/**
 * A finding came of another one: a missing seal let a screw head press on the crystal, which cracked. The latest of a
 * finding counts. Source: craft 2.9.
 *
 * @param finding key of the one that came of it
 * @param cause key of the other; empty when nothing caused it after all
 */
public record CauseSaid(String finding, String cause) implements Step {}
