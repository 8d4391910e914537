package escrel.core.timing.comparison;

import escrel.core.timing.readings.ReadingSet;
import java.util.List;

/**
 * How well a reading comes back when the same watch is laid down again: one standard deviation each. Always part of the
 * doubt of a difference. Source: M10.
 *
 * @param rateSecondsPerDay 1.5 by default
 * @param amplitudeDegrees 4 by default
 * @param beatErrorMillis 0.1 by default
 * @param from the repeated layings it was reckoned from, as far as they were enough
 */
public record Repeatability(double rateSecondsPerDay, double amplitudeDegrees, double beatErrorMillis, Layings from) {
    /** The workshop's repeatability until it has been measured. */
    public static final Repeatability DEFAULT = new Repeatability(1.5, 4, 0.1, Layings.NONE);

    /** From how many pairs on the workshop's own repeatability takes the place of the default. Source: M10. */
    public static final int FEWEST_PAIRS = 5;

    /**
     * The workshop's own repeatability: pooled standard deviation of repeated readings within one watch, state and
     * position; the default for each figure with fewer than five pairs.
     */
    public static Repeatability of(Layings layings) {
        return new Repeatability(
                own(layings.rate(), DEFAULT.rateSecondsPerDay()),
                own(layings.amplitude(), DEFAULT.amplitudeDegrees()),
                own(layings.beatError(), DEFAULT.beatErrorMillis()),
                layings);
    }

    /** That of the readings of one job alone. */
    public static Repeatability of(List<ReadingSet> sets) {
        return of(Layings.of(sets));
    }

    /** Whether a figure is this workshop's own, and not the default. */
    public static boolean isOwn(Layings.Figure figure) {
        return figure.freedom() >= FEWEST_PAIRS;
    }

    private static double own(Layings.Figure figure, double otherwise) {
        return isOwn(figure) ? figure.deviation() : otherwise;
    }
}
