package escrel.core.parts;

import org.jspecify.annotations.Nullable;

/**
 * One copy of a part.
 *
 * @param part code of its home
 * @param number 0 for the one that came with the watch
 * @param source where it comes from; empty for the original or when it was not said
 * @param from what of the workshop's own it was taken from; nothing where it was taken from neither donor nor stock
 * @param since sequence of the step with which it was at hand, 0 for the original
 * @param fittedAt sequence of the step with which it went on last; 0 while it never did (the original came fitted)
 * @param fate what became of it once another took its place; nothing when it was not said
 */
public record Copy(
        String part,
        int number,
        CopyAtHand.Origin origin,
        String source,
        String words,
        @Nullable String from,
        int since,
        int fittedAt,
        OldPart.@Nullable Fate fate) {
    /** Whether it was brought in during this job. */
    public boolean isBroughtIn() {
        return number > 0;
    }

    Copy fitted(int at) {
        return new Copy(part, number, origin, source, words, from, since, at, fate);
    }

    Copy withFate(OldPart.Fate newFate) {
        return new Copy(part, number, origin, source, words, from, since, fittedAt, newFate);
    }
}
