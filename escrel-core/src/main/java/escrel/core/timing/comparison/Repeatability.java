package escrel.core.timing.comparison;

import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * How well a reading comes back when the same watch is laid down again: one standard deviation each. Always part of the
 * doubt of a difference. Source: M10.
 *
 * @param rateSecondsPerDay 1.5 by default
 * @param amplitudeDegrees 4 by default
 * @param beatErrorMillis 0.1 by default
 */
public record Repeatability(double rateSecondsPerDay, double amplitudeDegrees, double beatErrorMillis) {
    /** The workshop's repeatability until it has been measured. */
    public static final Repeatability DEFAULT = new Repeatability(1.5, 4, 0.1);

    /** From how many pairs on the workshop's own repeatability takes the place of the default. Source: M10. */
    public static final int FEWEST_PAIRS = 5;

    /**
     * The workshop's own repeatability: pooled standard deviation of repeated readings within one watch, state and
     * position; the default for each figure with fewer than five pairs.
     */
    public static Repeatability of(List<ReadingSet> sets) {
        return new Repeatability(
                pooled(sets, Reading::rateSecondsPerDay, DEFAULT.rateSecondsPerDay()),
                pooled(sets, Reading::amplitudeDegrees, DEFAULT.amplitudeDegrees()),
                pooled(sets, Reading::beatErrorMillis, DEFAULT.beatErrorMillis()));
    }

    private static double pooled(
            List<ReadingSet> sets, Function<Reading, @Nullable Measured> figure, double otherwise) {
        double squares = 0;
        int freedom = 0;
        for (ReadingSet set : sets) {
            for (List<Reading> readings : set.all().values()) {
                double[] values = readings.stream()
                        .map(figure)
                        .filter(v -> v != null && !v.isRange() && !v.isBound())
                        .mapToDouble(Measured::value)
                        .toArray();
                double mean = Arrays.stream(values).average().orElse(0);
                squares +=
                        Arrays.stream(values).map(v -> (v - mean) * (v - mean)).sum();
                freedom += Math.max(0, values.length - 1);
            }
        }
        return freedom < FEWEST_PAIRS ? otherwise : Math.sqrt(squares / freedom);
    }
}
