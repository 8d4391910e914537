package escrel.core.owner;

import escrel.core.service.Step;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * The owner was asked; the job waits for the answer.
 *
 * @param question in words, at most {@value #LONGEST} characters
 * @param due by when an answer is wanted; nothing for no day
 * @param estimate asked about; nothing where it is no question of cost
 */
public record OwnerAsked(
        String question, @Nullable LocalDate due, @Nullable Estimate estimate) implements Step {
    /** Longest question. */
    public static final int LONGEST = 2000;

    public OwnerAsked {
        question = question == null ? "" : question.strip();
        if (question.isEmpty() || question.length() > LONGEST) {
            throw new IllegalArgumentException("A question has 1 to " + LONGEST + " characters");
        }
    }
}
