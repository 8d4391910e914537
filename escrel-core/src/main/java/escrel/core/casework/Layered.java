package escrel.core.casework;

import escrel.core.service.Step;

/**
 * One step of a plating was done, or its bath begun.
 *
 * @param minutes of its bath; 0 where no clock ran
 * @param words on what, and what else; at most {@value CaseWorked#LONGEST} characters
 */
public record Layered(Layer layer, int minutes, String words) implements Step {
    /** Longest bath. */
    public static final int LONGEST_BATH = 600;

    public Layered {
        words = words == null ? "" : words.strip();
        if (words.length() > CaseWorked.LONGEST) {
            throw new IllegalArgumentException(
                    "What was done is said in at most " + CaseWorked.LONGEST + " characters");
        }
        if (minutes < 0 || minutes > LONGEST_BATH) {
            throw new IllegalArgumentException("A bath takes at most " + LONGEST_BATH + " minutes");
        }
    }

    /** In words. */
    public String said() {
        return layer.words() + (minutes > 0 ? ", " + minutes + " min" : "") + (words.isEmpty() ? "" : ": " + words);
    }
}
