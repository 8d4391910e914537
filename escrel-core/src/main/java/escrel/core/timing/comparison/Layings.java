package escrel.core.timing.comparison;

import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.Source;
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * What repeated layings of watches show of how well a reading comes back, gathered figure by figure; those of many jobs add up.
 * Only single figures of real watches count: a simulated movement is laid down by nobody, a range is no laying, and what
 * spans more than a steady watch does is a watch that wanders by itself. Source: M10.
 */
public record Layings(Figure rate, Figure amplitude, Figure beatError) {
    /** Readings of a position that span more than so many default deviations show the watch's wandering, not the hand's. */
    private static final double WANDERS = 6;

    /** Nothing was laid down twice. */
    public static final Layings NONE = new Layings(Figure.NONE, Figure.NONE, Figure.NONE);

    /**
     * One figure.
     *
     * @param squares sum of squared distances from the mean of the same watch, state and position, in the figure's unit squared
     * @param freedom how many repeats that is: readings less one, each
     */
    public record Figure(double squares, int freedom) {
        static final Figure NONE = new Figure(0, 0);

        Figure plus(Figure other) {
            return new Figure(squares + other.squares, freedom + other.freedom);
        }

        /** Pooled standard deviation; 0 without a repeat. */
        double deviation() {
            return freedom == 0 ? 0 : Math.sqrt(squares / freedom);
        }
    }

    /** What the sets of one watch show. */
    public static Layings of(List<ReadingSet> sets) {
        return new Layings(
                pooled(sets, Reading::rateSecondsPerDay, WANDERS * Repeatability.DEFAULT.rateSecondsPerDay()),
                pooled(sets, Reading::amplitudeDegrees, WANDERS * Repeatability.DEFAULT.amplitudeDegrees()),
                pooled(sets, Reading::beatErrorMillis, WANDERS * Repeatability.DEFAULT.beatErrorMillis()));
    }

    /** Both together. */
    public Layings plus(Layings other) {
        return new Layings(rate.plus(other.rate), amplitude.plus(other.amplitude), beatError.plus(other.beatError));
    }

    private static Figure pooled(List<ReadingSet> sets, Function<Reading, @Nullable Measured> figure, double widest) {
        Figure all = Figure.NONE;
        for (ReadingSet set : sets) {
            for (List<Reading> readings : set.all().values()) {
                double[] values = readings.stream()
                        .filter(r -> r.source() != Source.SIMULATED)
                        .map(figure)
                        .filter(v -> v != null && !v.isRange() && !v.isBound())
                        .mapToDouble(Measured::value)
                        .toArray();
                all = all.plus(scatter(values, widest));
            }
        }
        return all;
    }

    private static Figure scatter(double[] values, double widest) {
        DoubleSummaryStatistics span = Arrays.stream(values).summaryStatistics();
        if (values.length < 2 || span.getMax() - span.getMin() > widest) {
            return Figure.NONE;
        }
        double mean = span.getAverage();
        return new Figure(
                Arrays.stream(values).map(v -> (v - mean) * (v - mean)).sum(), values.length - 1);
    }
}
