package escrel.core.timing.readings;

import escrel.core.quantity.Measured;

/**
 * What was heard, kept with a reading so that another lift angle re-computes it.
 *
 * @param liftMillis Δt between first and last sound, mean over tick and tock
 * @param heardBeatErrorMillis h, the beat error as heard between unlocking sounds
 */
public record LiftTime(Measured liftMillis, Measured heardBeatErrorMillis) {}
