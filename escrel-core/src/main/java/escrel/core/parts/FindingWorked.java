package escrel.core.parts;

import escrel.core.parts.OldPart.Fate;
import escrel.core.service.Step;
import org.jspecify.annotations.Nullable;

/**
 * What was decided about a finding was attempted. A decision settles a finding only once it is done; one that failed
 * wants another decision. Source: craft 2.10, M17.
 *
 * @param finding key of the finding
 * @param words what was done, or why it failed
 * @param size own size of a piece that was put into a part ("hole 0.12, outer 1.10 mm"); nothing where none was put in
 * @param old what became of the piece that was there; nothing where it was not said
 */
public record FindingWorked(
        String finding,
        Outcome outcome,
        String words,
        @Nullable String size,
        @Nullable Fate old) implements Step {
    /** Longest words of a size. */
    public static final int LONGEST_SIZE = 200;

    /** How an attempt ended. */
    public enum Outcome {
        DONE,
        FAILED
    }

    public FindingWorked {
        words = words == null ? "" : words;
        size = size == null || size.isBlank() ? null : size.strip();
        if (size != null && size.length() > LONGEST_SIZE) {
            throw new IllegalArgumentException("a size has at most " + LONGEST_SIZE + " characters");
        }
    }

    /** Carried out or failed, with nothing said of a piece. */
    public FindingWorked(String finding, Outcome outcome, String words) {
        this(finding, outcome, words, null, null);
    }
}
