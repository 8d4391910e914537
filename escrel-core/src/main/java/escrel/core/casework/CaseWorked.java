package escrel.core.casework;

import escrel.core.service.Step;
import org.jspecify.annotations.Nullable;

/**
 * Something was done to the case or to what is seen.
 *
 * @param words how, how far, or why in spite of the stance; at most {@value #LONGEST} characters
 * @param before number of a photo of before; nothing without one
 * @param after number of a photo of after; nothing without one
 */
public record CaseWorked(
        CaseTask task,
        String words,
        @Nullable Integer before,
        @Nullable Integer after) implements Step {
    /** Longest words. */
    public static final int LONGEST = 1000;

    public CaseWorked {
        words = words == null ? "" : words.strip();
        if (words.length() > LONGEST) {
            throw new IllegalArgumentException("What was done is said in at most " + LONGEST + " characters");
        }
    }

    /** In words. */
    public String said() {
        return task.words() + (words.isEmpty() ? "" : ": " + words);
    }
}
