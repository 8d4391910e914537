package escrel.core.service;

import java.time.Instant;

/**
 * A step in its envelope.
 *
 * @param sequence 1 for the first step of the job, then without gaps
 * @param at when it was recorded
 */
public record RecordedStep(int sequence, Instant at, Step step) {
    public RecordedStep {
        if (sequence < 1) {
            throw new IllegalArgumentException("a step's sequence starts at 1, was " + sequence);
        }
    }
}
