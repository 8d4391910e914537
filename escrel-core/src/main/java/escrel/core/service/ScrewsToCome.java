package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * A part is on, and so many of its screws are not in yet: a bridge is often tried under one screw first. They are settled by
 * {@link Tightened}. Source: craft 2.13.
 *
 * @param part code on the sheet
 * @param count 1 to {@link ScrewsFound#MOST}
 */
public record ScrewsToCome(String part, int count) implements Step {
    public ScrewsToCome {
        if (count < 1 || count > ScrewsFound.MOST) {
            throw new IllegalArgumentException(
                    "screws to come must lie between 1 and " + ScrewsFound.MOST + ", were " + count);
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new ScrewsToCome(code.apply(part), count);
    }
}
