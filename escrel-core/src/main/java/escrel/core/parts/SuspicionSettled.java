package escrel.core.parts;

import escrel.core.service.Step;

/**
 * What was suspected was looked at.
 *
 * @param suspicion sequence of the step that opened it
 * @param words what was seen
 */
public record SuspicionSettled(int suspicion, Outcome outcome, String words) implements Step {
    /** How it ended. */
    public enum Outcome {
        CONFIRMED,
        CLEARED
    }
}
