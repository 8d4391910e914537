package escrel.web.turn;

import escrel.core.timing.comparison.Expectations;
import escrel.core.timing.readings.ReadingSet;
import escrel.web.chart.SetWords;
import escrel.web.job.JobHead;
import escrel.web.job.Learnt;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** What a calibre showed after service in this workshop, with the present watch among it. */
@Controller
class ExpectedController {
    private static final int MOST = 60;

    private final Workshop workshop;
    private final Learnt learnt;

    ExpectedController(Workshop workshop, Learnt learnt) {
        this.learnt = learnt;
        this.workshop = workshop;
    }

    @GetMapping("/jobs/{number}/expected")
    String expected(@PathVariable int number, Model model) {
        OpenJob job = workshop.load(number);
        ReadingSet own = latest(job.readings()).orElse(null);
        List<double[]> others =
                job.sheet() == null ? List.of() : learnt.figures(job.sheet().id(), number, MOST);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("own", own == null ? null : SetWords.of(own));
        model.addAttribute("services", others.size());
        model.addAttribute(
                "rows",
                Expectations.of(others).stream().map(f -> Row.of(f, own)).toList());
        return "turn/expected";
    }

    private static Optional<ReadingSet> latest(List<ReadingSet> sets) {
        return Expectations.latestFinal(sets)
                .or(() -> sets.stream()
                        .filter(ReadingSet::ran)
                        .max(Comparator.comparing(ReadingSet::state))
                        .flatMap(s -> ReadingSet.main(sets, s.state())));
    }

    /**
     * A figure as drawn, 760 wide and 64 high.
     *
     * @param dots a circle for each service, drawn here since a page has hundreds of them
     * @param own where the present watch lies, nothing when it was not read
     */
    record Row(
            String name,
            String unit,
            String dots,
            double low,
            double median,
            double high,
            @Nullable Double own,
            List<Tick> ticks,
            String words) {
        /** A mark of the scale. */
        record Tick(double x, String label) {}

        private static final double LEFT = 170;
        private static final double RIGHT = 740;

        static Row of(Expectations.Figure figure, @Nullable ReadingSet set) {
            OptionalDouble own = set == null ? OptionalDouble.empty() : Expectations.own(set, figure.name());
            double[] values = figure.values();
            double low = Math.min(values[0], own.orElse(values[0]));
            double high = Math.max(values[values.length - 1], own.orElse(values[0]));
            double room = Math.max(0.1 * (high - low), 0.2);
            double from = low - room;
            double to = high + room;
            String dots = Arrays.stream(values)
                    .mapToObj(v -> "<circle r='5' cy='28' cx='" + x(v, from, to) + "'/>")
                    .collect(Collectors.joining());
            return new Row(
                    figure.name(),
                    figure.unit(),
                    dots,
                    x(figure.low(), from, to),
                    x(figure.median(), from, to),
                    x(figure.high(), from, to),
                    own.isPresent() ? x(own.getAsDouble(), from, to) : null,
                    List.of(
                            new Tick(x(values[0], from, to), number(values[0])),
                            new Tick(x(values[values.length - 1], from, to), number(values[values.length - 1]))),
                    words(figure, own));
        }

        private static String words(Expectations.Figure figure, OptionalDouble own) {
            String range = "half of them from %s to %s %s, middle %s"
                    .formatted(number(figure.low()), number(figure.high()), figure.unit(), number(figure.median()));
            return own.isEmpty()
                    ? range
                    : range
                            + "; this watch %s, more than %.0f in 100"
                                    .formatted(number(own.getAsDouble()), figure.percentBelow(own.getAsDouble()));
        }

        private static double x(double value, double from, double to) {
            return Math.round((LEFT + (value - from) / (to - from) * (RIGHT - LEFT)) * 10) / 10.0;
        }

        private static String number(double value) {
            return "%.1f".formatted(value).replace('-', '−');
        }
    }
}
