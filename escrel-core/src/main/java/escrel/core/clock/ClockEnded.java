package escrel.core.clock;

import escrel.core.service.Step;

/**
 * A clock counts no more.
 *
 * @param id of the clock
 * @param done whether what it counted was done; otherwise it was stopped before
 */
public record ClockEnded(String id, boolean done) implements Step {}
