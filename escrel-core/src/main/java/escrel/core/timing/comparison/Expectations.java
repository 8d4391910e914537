package escrel.core.timing.comparison;

import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.hipparchus.stat.descriptive.rank.Percentile;

/**
 * What a calibre showed after service in this workshop: one value for each service and figure, and where a watch lies
 * among them. Nothing is said of fewer than three services.
 */
public final class Expectations {
    /** Services below which nothing is said. */
    public static final int FEWEST = 3;

    /**
     * A figure over the services.
     *
     * @param values one for each service, smallest first
     * @param median half of them lie below
     * @param low a quarter of them lies below
     * @param high a quarter of them lies above
     */
    public record Figure(String name, String unit, double[] values, double median, double low, double high) {
        /** How many in a hundred services lie below a value, ties counted half. */
        public double percentBelow(double value) {
            double below = 0;
            for (double v : values) {
                below += v < value ? 1 : v == value ? 0.5 : 0;
            }
            return 100 * below / values.length;
        }
    }

    private record Kind(String name, String unit, Function<PositionFigures, OptionalDouble> of) {}

    private static final List<Kind> KINDS = List.of(
            new Kind("mean rate", "s/d", PositionFigures::meanRate),
            new Kind(
                    "spread",
                    "s/d",
                    f -> f.spread()
                            .map(s -> OptionalDouble.of(s.secondsPerDay()))
                            .orElse(OptionalDouble.empty())),
            new Kind("mean amplitude", "°", PositionFigures::meanAmplitude),
            new Kind("lowest amplitude", "°", PositionFigures::lowestAmplitude),
            new Kind("drop on edge", "°", PositionFigures::amplitudeDrop),
            new Kind("largest beat error", "ms", PositionFigures::largestBeatError));

    private Expectations() {}

    /** What a service contributes: a value for each figure there is, in their order; NaN where it could not be read. */
    public static double[] figuresOf(ReadingSet afterService) {
        PositionFigures figures = PositionFigures.of(afterService);
        return KINDS.stream()
                .mapToDouble(k -> k.of().apply(figures).orElse(Double.NaN))
                .toArray();
    }

    /**
     * The figures of which three services or more are known.
     *
     * @param services as {@link #figuresOf} gives them; a shorter one lacks the last figures
     */
    public static List<Figure> of(List<double[]> services) {
        List<Figure> figures = new ArrayList<>();
        for (int i = 0; i < KINDS.size(); i++) {
            Kind kind = KINDS.get(i);
            int at = i;
            double[] values = services.stream()
                    .filter(s -> s.length > at)
                    .mapToDouble(s -> s[at])
                    .filter(v -> !Double.isNaN(v))
                    .sorted()
                    .toArray();
            if (values.length >= FEWEST) {
                Percentile percentile = new Percentile().withEstimationType(Percentile.EstimationType.R_7);
                figures.add(new Figure(
                        kind.name(),
                        kind.unit(),
                        values,
                        percentile.evaluate(values, 50),
                        percentile.evaluate(values, 25),
                        percentile.evaluate(values, 75)));
            }
        }
        return List.copyOf(figures);
    }

    /** A watch's own value of a figure, by its name. */
    public static OptionalDouble own(ReadingSet set, String name) {
        return KINDS.stream()
                .filter(k -> k.name().equals(name))
                .findFirst()
                .map(k -> k.of().apply(PositionFigures.of(set)))
                .orElse(OptionalDouble.empty());
    }

    /**
     * The final readings of a service; nothing while none were taken, or where the movement was not opened: a watch that
     * was only regulated says nothing of what a service gives.
     */
    public static Optional<ReadingSet> ofService(JobHistory history) {
        if (history.all(PartOff.class).findAny().isEmpty()) {
            return Optional.empty();
        }
        return latestFinal(ReadingSet.of(history));
    }

    /** Of final readings those that stand for the watch: cased before uncased. */
    public static Optional<ReadingSet> latestFinal(List<ReadingSet> sets) {
        return sets.stream()
                .filter(s -> s.state().isFinal() && s.ran())
                .map(ReadingSet::state)
                .max(Comparator.<ReadingState>naturalOrder())
                .flatMap(state -> ReadingSet.main(sets, state));
    }
}
