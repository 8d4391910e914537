package escrel.core.learning;

import escrel.core.calibre.Trait;
import escrel.core.service.Step;
import java.util.function.UnaryOperator;

/**
 * Something was seen of a part as it came off; the latest of each trait counts, and empty words take it back.
 *
 * @param part code on the sheet
 * @param words what is so; {@link Trait#YES} for a hazard, the other part's code for what it stays with
 */
public record PartDescribed(String part, Trait trait, String words) implements Step {
    /** Most characters. */
    public static final int LONGEST = 400;

    public PartDescribed {
        words = words == null ? "" : words.strip();
        if (words.length() > LONGEST) {
            throw new IllegalArgumentException("at most " + LONGEST + " characters are kept of a part's trait");
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new PartDescribed(
                code.apply(part), trait, trait == Trait.STAYS_WITH && !words.isEmpty() ? code.apply(words) : words);
    }
}
