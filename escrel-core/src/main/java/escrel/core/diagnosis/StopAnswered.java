package escrel.core.diagnosis;

import escrel.core.service.Step;

/**
 * A question of the walk was answered; the latest answer to each counts.
 *
 * @param words what was seen; may be empty
 */
public record StopAnswered(StopQuestion question, Answer answer, String words) implements Step {
    /** Yes or no. */
    public enum Answer {
        YES,
        NO
    }

    public StopAnswered {
        words = words == null ? "" : words.strip();
    }
}
