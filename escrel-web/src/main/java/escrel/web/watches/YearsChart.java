package escrel.web.watches;

import escrel.core.timing.comparison.Expectations;
import escrel.core.timing.comparison.PositionFigures;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.web.job.OpenJob;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/**
 * The readings of a watch over its services: for each the mean as it came and the mean as it left, one panel for the rate, one
 * for the amplitude. Between two services a line leads from how it left to how it came again: what the years did to it.
 *
 * @param panels from the top
 * @param years where a year begins, with its number
 */
record YearsChart(List<Panel> panels, List<Year> years, List<Service> services) {
    static final int WIDTH = 760;
    static final int HEIGHT = 150;
    private static final int LEFT = 70;
    private static final int RIGHT = 740;

    /** A year's first day on the chart. */
    record Year(int number, double x) {}

    /** A service on the chart. */
    record Service(int job, double x) {}

    /**
     * A point.
     *
     * @param came whether it is how the watch came
     */
    record Point(double x, double y, boolean came, String words) {}

    /** A line from one point to the next. */
    record Leg(double x1, double y1, double x2, double y2, boolean service) {}

    /** A line with its value. */
    record Line(double y, String value) {}

    /** One figure over the years. */
    record Panel(String name, List<Line> grid, List<Leg> legs, List<Point> points) {}

    private record Figure(String name, String unit, double least, Function<PositionFigures, OptionalDouble> of) {}

    private static final List<Figure> FIGURES = List.of(
            new Figure("mean rate", "s/d", 10, PositionFigures::meanRate),
            new Figure("mean amplitude", "°", 40, PositionFigures::meanAmplitude));

    private record Read(int job, OffsetDateTime at, boolean came, double value) {}

    static YearsChart of(List<OpenJob> jobs) {
        OffsetDateTime first = jobs.get(0).openedAt();
        OffsetDateTime last = jobs.stream()
                .map(j -> at(j, j.sequence()))
                .max(OffsetDateTime::compareTo)
                .orElse(first);
        double days = Math.max(60, ChronoUnit.DAYS.between(first, last));
        Function<OffsetDateTime, Double> x =
                at -> LEFT + 20 + (RIGHT - LEFT - 40) * ChronoUnit.HOURS.between(first, at) / (24 * days);
        List<Panel> panels = FIGURES.stream()
                .map(f -> panel(f, jobs, x))
                .flatMap(Optional::stream)
                .toList();
        List<Year> years = new ArrayList<>();
        for (int year = first.getYear() + 1; year <= last.getYear(); year++) {
            years.add(new Year(year, x.apply(first.withDayOfYear(1).withYear(year))));
        }
        return new YearsChart(
                panels,
                years,
                jobs.stream()
                        .map(j -> new Service(j.number(), x.apply(j.openedAt())))
                        .toList());
    }

    private static Optional<Panel> panel(Figure figure, List<OpenJob> jobs, Function<OffsetDateTime, Double> x) {
        List<Read> reads = new ArrayList<>();
        for (OpenJob job : jobs) {
            read(figure, job, ReadingSet.main(job.readings(), ReadingState.AS_RECEIVED), true)
                    .ifPresent(reads::add);
            read(figure, job, Expectations.latestFinal(job.readings()), false).ifPresent(reads::add);
        }
        if (reads.isEmpty()) {
            return Optional.empty();
        }
        double low = reads.stream().mapToDouble(Read::value).min().orElse(0);
        double high = reads.stream().mapToDouble(Read::value).max().orElse(0);
        double middle = (low + high) / 2;
        double half = Math.max(figure.least(), high - low) / 2 * 1.25;
        Function<Double, Double> y = v -> 12 + (HEIGHT - 30) * (middle + half - v) / (2 * half);
        List<Point> points = reads.stream()
                .map(r -> new Point(
                        x.apply(r.at()),
                        y.apply(r.value()),
                        r.came(),
                        "job " + r.job() + (r.came() ? ", as it came: " : ", as it left: ")
                                + said(r.value(), figure.unit())))
                .toList();
        List<Leg> legs = new ArrayList<>();
        for (int i = 1; i < points.size(); i++) {
            Point a = points.get(i - 1);
            Point b = points.get(i);
            legs.add(new Leg(a.x(), a.y(), b.x(), b.y(), a.came() && !b.came()));
        }
        List<Line> grid = new ArrayList<>();
        double step = roundStep(2 * half / 3);
        for (double value = Math.ceil((middle - half) / step) * step; value <= middle + half; value += step) {
            grid.add(new Line(y.apply(value), said(value, figure.unit())));
        }
        return Optional.of(new Panel(figure.name(), grid, legs, points));
    }

    /** The next of 1, 2 and 5 times a power of ten. */
    private static double roundStep(double step) {
        double power = Math.pow(10, Math.floor(Math.log10(step)));
        for (int times : new int[] {1, 2, 5}) {
            if (times * power >= step) {
                return times * power;
            }
        }
        return 10 * power;
    }

    private static Optional<Read> read(Figure figure, OpenJob job, Optional<ReadingSet> set, boolean came) {
        OptionalDouble value = set.filter(ReadingSet::ran)
                .map(s -> figure.of().apply(PositionFigures.of(s)))
                .orElse(OptionalDouble.empty());
        return value.isEmpty()
                ? Optional.empty()
                : Optional.of(new Read(job.number(), at(job, set.orElseThrow().lastAt()), came, value.getAsDouble()));
    }

    private static OffsetDateTime at(OpenJob job, int sequence) {
        return job.recorded()
                .recorded()
                .get(sequence - 1)
                .at()
                .atZone(ZoneId.systemDefault())
                .toOffsetDateTime();
    }

    private static String said(double value, String unit) {
        return unit.equals("°")
                ? Math.round(value) + "°"
                : String.format(Locale.ROOT, value == 0 ? "%.0f %s" : "%+.1f %s", value, unit)
                        .replace('-', '−');
    }
}
