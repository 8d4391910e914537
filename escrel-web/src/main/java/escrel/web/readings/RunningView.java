package escrel.web.readings;

import escrel.core.job.Job;
import escrel.core.quantity.Measured;
import escrel.core.service.JobHistory;
import escrel.core.service.Round;
import escrel.core.timing.comparison.RunIn;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Running in and running down as shown.
 *
 * @param due what is read next and when; nothing while no clock runs
 * @param down what running down changed, state by state
 */
record RunningView(@Nullable Due due, List<Curve> curves, List<Down> down, OptionalDouble reserve, boolean begun) {
    /** A clock that runs. */
    record Due(String words, Instant at, boolean late) {}

    /**
     * What 12 h, 24 h or other hours changed against full wind.
     *
     * @param round until when it was so: before which opening; empty for now
     */
    record Down(String round, ReadingState state, RunIn.Down figures) {}

    /** A figure over the hours, 640 wide and 200 high. */
    record Curve(String title, List<Tick> across, List<Tick> up, List<Line> lines) {}

    /** A line of a scale. */
    record Tick(double at, String label) {}

    /**
     * One position over the hours.
     *
     * @param path through its readings, empty for a single one
     */
    record Line(String words, boolean lying, String path, List<Knot> knots, double labelY) {}

    /** A reading on the curve. */
    record Knot(double x, double y) {}

    private static final double LEFT = 60;
    private static final double RIGHT = 520;
    private static final double TOP = 20;
    private static final double BOTTOM = 165;

    static RunningView of(Job job, Instant now) {
        JobHistory history = job.history();
        int closedAt = job.closedAt();
        List<RunIn.Point> points = RunIn.curve(history, closedAt);
        List<Down> down = new ArrayList<>();
        for (Round round : job.lives().rounds()) {
            if (round.startsAt() > 0) {
                addDown(
                        down,
                        job.upTo(round.startsAt() - 1),
                        "until it was opened again: " + round.reason().words());
            }
        }
        addDown(down, job, "");
        return new RunningView(
                RunIn.nextDue(history, closedAt)
                        .map(d -> new Due(d.words(), d.at(), now.isAfter(d.at())))
                        .orElse(null),
                points.isEmpty()
                        ? List.of()
                        : List.of(
                                curve("Rate, s/d", points, Reading::rateSecondsPerDay, 10),
                                curve("Amplitude, °", points, Reading::amplitudeDegrees, 40)),
                down,
                RunIn.reserveHours(history),
                !points.isEmpty());
    }

    /** What was found between two openings: another spring runs down another way. */
    private static void addDown(List<Down> down, Job job, String round) {
        for (ReadingState state : ReadingState.values()) {
            RunIn.down(job.history(), state, job.closedAt()).forEach(d -> down.add(new Down(round, state, d)));
        }
    }

    private static Curve curve(
            String title, List<RunIn.Point> points, Function<Reading, @Nullable Measured> figure, double leastSpan) {
        double longest = Math.max(1, points.get(points.size() - 1).hours());
        double low = Double.MAX_VALUE;
        double high = -Double.MAX_VALUE;
        for (RunIn.Point point : points) {
            Measured value = figure.apply(point.taken().reading());
            if (value != null && !value.isBound()) {
                low = Math.min(low, value.value());
                high = Math.max(high, value.value());
            }
        }
        double missing = Math.max(0, leastSpan - (high - low)) / 2;
        Scale up = new Scale(low - missing - 2, high + missing + 2, BOTTOM, TOP);
        Scale across = new Scale(0, longest, LEFT, RIGHT);
        List<Line> lines = new ArrayList<>();
        for (Position position : Position.values()) {
            List<Knot> knots = new ArrayList<>();
            for (RunIn.Point point : points) {
                Measured value = figure.apply(point.taken().reading());
                if (value != null && !value.isBound() && point.taken().reading().position() == position) {
                    knots.add(new Knot(across.at(point.hours()), up.at(value.value())));
                }
            }
            if (!knots.isEmpty()) {
                lines.add(new Line(
                        position.words(),
                        position.isHorizontal(),
                        path(knots),
                        knots,
                        knots.get(knots.size() - 1).y()));
            }
        }
        return new Curve(title, across.ticks("%.0f h"), up.ticks("%.0f"), apart(lines));
    }

    /** Moves names apart so that none covers another. */
    private static List<Line> apart(List<Line> lines) {
        List<Line> sorted = new ArrayList<>(lines);
        sorted.sort((a, b) -> Double.compare(a.labelY(), b.labelY()));
        double next = TOP;
        for (int i = 0; i < sorted.size(); i++) {
            Line line = sorted.get(i);
            double y = Math.max(next, Math.min(line.labelY(), BOTTOM - 15 * (sorted.size() - 1 - i)));
            next = y + 15;
            sorted.set(i, new Line(line.words(), line.lying(), line.path(), line.knots(), y));
        }
        return sorted;
    }

    private static String path(List<Knot> knots) {
        StringBuilder d = new StringBuilder();
        for (Knot knot : knots) {
            d.append(d.length() == 0 ? 'M' : 'L').append(String.format(Locale.ROOT, "%.1f %.1f", knot.x(), knot.y()));
        }
        return d.toString();
    }

    private record Scale(double low, double high, double from, double to) {
        double at(double value) {
            return Math.round((from + (value - low) / (high - low) * (to - from)) * 10) / 10.0;
        }

        List<Tick> ticks(String form) {
            double rough = (high - low) / 4;
            double power = Math.pow(10, Math.floor(Math.log10(rough)));
            double step = Arrays.stream(new double[] {1, 2, 5, 10})
                    .map(s -> s * power)
                    .filter(s -> s >= rough)
                    .findFirst()
                    .orElse(rough);
            List<Tick> ticks = new ArrayList<>();
            for (double v = Math.ceil(low / step) * step; v <= high + 1e-9; v += step) {
                ticks.add(new Tick(at(v), form.formatted(v == 0 ? 0.0 : v).replace('-', '−')));
            }
            return ticks;
        }
    }
}
