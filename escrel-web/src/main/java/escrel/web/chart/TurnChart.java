package escrel.web.chart;

import escrel.core.quantity.Measured;
import escrel.core.timing.comparison.Difference;
import escrel.core.timing.comparison.Repeatability;
import escrel.core.timing.comparison.Targets;
import escrel.core.timing.comparison.Turn;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Before and after as pairs of points joined by a line: 640 wide, 520 high. Whiskers are two standard errors with the
 * repeatability of laying the watch down included. Labels stand where they do not cover each other.
 *
 * @param bandTop upper edge of the target, nothing where the figure has none
 */
public record TurnChart(
        String unit,
        List<Tick> ticks,
        @Nullable Double bandTop,
        @Nullable Double bandBottom,
        String bandLabel,
        List<Pair> pairs) {
    private static final double TOP = 40;
    private static final double BOTTOM = 480;
    private static final double BEFORE_X = 130;
    private static final double AFTER_X = 450;
    private static final double STEP_X = 13;
    private static final double LABEL_X = 556;
    private static final double LABEL_HEIGHT = 19;

    /** A line of the scale. */
    public record Tick(double y, String label) {}

    /** A point with its whisker. */
    public record Point(double x, double y, double high, double low) {}

    /**
     * One position.
     *
     * @param labelY where its name stands, moved apart from its neighbours
     */
    public record Pair(
            String mark,
            String words,
            boolean lying,
            @Nullable Point before,
            @Nullable Point after,
            double labelY) {}

    /** What a chart is drawn of. */
    record Figure(
            String unit,
            Function<Reading, @Nullable Measured> of,
            double repeatability,
            @Nullable Double bandLow,
            @Nullable Double bandHigh,
            String bandLabel,
            double leastSpan) {}

    /** The rate over the targets; where nobody stated any there is no band. */
    static Figure rate(Targets targets, Repeatability hand) {
        double low = targets.lowRate();
        double high = targets.highRate();
        return new Figure(
                "s/d",
                Reading::rateSecondsPerDay,
                hand.rateSecondsPerDay(),
                targets.isStated() ? low : null,
                targets.isStated() ? high : null,
                targets.isStated()
                        ? "target %+.0f to %+.0f".formatted(low, high).replace('-', '−')
                        : "",
                40);
    }

    static Figure amplitude(double low, double high, Repeatability hand) {
        return new Figure(
                "°",
                Reading::amplitudeDegrees,
                hand.amplitudeDegrees(),
                low,
                high,
                "healthy lying %.0f to %.0f".formatted(low, high),
                100);
    }

    /** The beat error over the targets, as the rate. */
    static Figure beatError(Targets targets, Repeatability hand) {
        return new Figure(
                "ms",
                Reading::beatErrorMillis,
                hand.beatErrorMillis(),
                targets.isStated() ? 0.0 : null,
                targets.isStated() ? targets.beatError() : null,
                targets.isStated() ? "aim up to %.1f".formatted(targets.beatError()) : "",
                1.5);
    }

    static TurnChart of(Turn turn, Figure figure) {
        double low = figure.bandLow() == null ? Double.MAX_VALUE : figure.bandLow();
        double high = figure.bandHigh() == null ? -Double.MAX_VALUE : figure.bandHigh();
        for (Turn.Line line : turn.lines()) {
            for (Reading reading : sides(line)) {
                Measured value = figure.of().apply(reading);
                if (value != null && !value.isBound()) {
                    double whisker = whisker(value, figure);
                    low = Math.min(low, value.value() - whisker);
                    high = Math.max(high, value.value() + whisker);
                }
            }
        }
        if (low > high) {
            // no figure and no band: an empty scale about nothing
            low = 0;
            high = 0;
        }
        double missing = Math.max(0, figure.leastSpan() - (high - low));
        Scale scale = Scale.covering(low - missing / 2, high + missing / 2);
        return new TurnChart(
                figure.unit(),
                scale.ticks(),
                figure.bandHigh() == null ? null : scale.y(figure.bandHigh()),
                figure.bandLow() == null ? null : scale.y(figure.bandLow()),
                figure.bandLabel(),
                pairs(turn, figure, scale));
    }

    private static List<Reading> sides(Turn.Line line) {
        List<Reading> sides = new ArrayList<>();
        if (line.before() != null) {
            sides.add(line.before());
        }
        if (line.after() != null) {
            sides.add(line.after());
        }
        return sides;
    }

    private static double whisker(Measured value, Figure figure) {
        return Difference.STANDARD_ERRORS * Math.hypot(value.standardError(), figure.repeatability());
    }

    private static List<Pair> pairs(Turn turn, Figure figure, Scale scale) {
        List<Pair> pairs = new ArrayList<>();
        int n = 0;
        for (Turn.Line line : turn.lines()) {
            double shift = STEP_X * n++;
            Point before = point(line.before(), figure, scale, BEFORE_X + shift);
            Point after = point(line.after(), figure, scale, AFTER_X + shift);
            Position position = line.position();
            double wish = after != null ? after.y() : before != null ? before.y() : BOTTOM;
            pairs.add(new Pair(position.mark(), position.words(), position.isHorizontal(), before, after, wish));
        }
        return apart(pairs);
    }

    private static @Nullable Point point(@Nullable Reading reading, Figure figure, Scale scale, double x) {
        Measured value = reading == null ? null : figure.of().apply(reading);
        if (value == null || value.isBound()) {
            return null;
        }
        double whisker = whisker(value, figure);
        return new Point(x, scale.y(value.value()), scale.y(value.value() + whisker), scale.y(value.value() - whisker));
    }

    /** Moves labels apart, keeping their order, and keeps the whole column on the chart. */
    private static List<Pair> apart(List<Pair> pairs) {
        List<Pair> sorted = new ArrayList<>(pairs);
        sorted.sort(Comparator.comparingDouble(Pair::labelY));
        double[] y = new double[sorted.size()];
        for (int i = 0; i < y.length; i++) {
            y[i] = Math.max(sorted.get(i).labelY(), i == 0 ? TOP : y[i - 1] + LABEL_HEIGHT);
        }
        double over = y.length == 0 ? 0 : Math.max(0, y[y.length - 1] - BOTTOM);
        for (int i = y.length - 1; i >= 0; i--) {
            y[i] = Math.min(y[i], i == y.length - 1 ? y[i] - over : y[i + 1] - LABEL_HEIGHT);
            Pair p = sorted.get(i);
            sorted.set(i, new Pair(p.mark(), p.words(), p.lying(), p.before(), p.after(), y[i]));
        }
        return List.copyOf(sorted);
    }

    /** Where the labels begin. */
    public double labelX() {
        return LABEL_X;
    }

    private record Scale(double low, double high, double step) {
        static Scale covering(double low, double high) {
            double rough = (high - low) / 5;
            double power = Math.pow(10, Math.floor(Math.log10(rough)));
            double step = rough / power < 1.5
                    ? power
                    : rough / power < 3.5 ? 2 * power : rough / power < 7.5 ? 5 * power : 10 * power;
            return new Scale(Math.floor(low / step) * step, Math.ceil(high / step) * step, step);
        }

        double y(double value) {
            return Math.round((BOTTOM - (value - low) / (high - low) * (BOTTOM - TOP)) * 10) / 10.0;
        }

        List<Tick> ticks() {
            List<Tick> ticks = new ArrayList<>();
            for (long i = 0; i <= Math.round((high - low) / step); i++) {
                double value = low + i * step;
                String form = step < 1 ? "%.1f" : "%.0f";
                ticks.add(new Tick(
                        y(value), form.formatted(value == 0 ? 0.0 : value).replace('-', '−')));
            }
            return ticks;
        }
    }
}
