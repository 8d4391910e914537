package escrel.web.chart;

import escrel.core.regulation.Interventions;
import escrel.core.timing.comparison.Difference;
import escrel.core.timing.comparison.PositionFigures;
import escrel.core.timing.comparison.Repeatability;
import escrel.core.timing.comparison.Targets;
import escrel.core.timing.comparison.Turn;
import escrel.core.timing.comparison.Verdict;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.Source;
import escrel.web.job.OpenJob;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The turn as shown on its page and in the report.
 *
 * @param sentences what the service changed, in words
 * @param between what was done between the two, first first
 * @param notes where the numbers come from and what they leave open
 */
public record TurnView(
        String beforeTitle,
        String afterTitle,
        @Nullable String beforeDead,
        List<String> sentences,
        List<Row> rows,
        List<Sum> sums,
        TurnChart rate,
        TurnChart amplitude,
        TurnChart beatError,
        @Nullable Rose rose,
        List<String> between,
        List<String> notes) {
    /** A position. */
    public record Row(
            String words,
            boolean lying,
            @Nullable Reading before,
            @Nullable Reading after,
            String rateVerdict,
            String amplitudeVerdict,
            String beatErrorVerdict,
            String change,
            String sentence) {}

    /**
     * A figure over all positions, before and after.
     *
     * @param signed whether it is written with its sign
     */
    public record Sum(String name, OptionalDouble before, OptionalDouble after, String unit, boolean signed) {}

    /**
     * The turn a service is credited with, or nothing while one of its sides is missing.
     *
     * @param hand how well watches are laid down in this workshop
     */
    public static @Nullable TurnView of(OpenJob job, Repeatability hand) {
        Targets targets = Targets.of(job.sheet());
        return Turn.ofService(job.readings(), targets, hand)
                .map(turn -> of(job, turn, targets, hand))
                .orElse(null);
    }

    /** Any two sets of readings laid side by side, judged by the targets of a job. */
    public static TurnView between(OpenJob job, ReadingSet before, ReadingSet after, Repeatability hand) {
        Targets targets = Targets.of(job.sheet());
        return of(job, Turn.between(before, after, targets, hand), targets, hand);
    }

    /** The comparison itself of any two sets, by the targets of a job. */
    public static Turn turn(OpenJob job, ReadingSet before, ReadingSet after, Repeatability hand) {
        return Turn.between(before, after, Targets.of(job.sheet()), hand);
    }

    private static TurnView of(OpenJob job, Turn turn, Targets targets, Repeatability hand) {
        PositionFigures before = PositionFigures.of(turn.before());
        PositionFigures after = PositionFigures.of(turn.after());
        return new TurnView(
                SetWords.of(turn.before()),
                SetWords.of(turn.after()),
                turn.before().didNotRun(),
                sentences(turn, before, after),
                turn.lines().stream().map(TurnView::row).toList(),
                sums(before, after),
                TurnChart.of(turn, TurnChart.rate(targets, hand)),
                TurnChart.of(turn, TurnChart.amplitude(Targets.HEALTHY_FROM, Targets.HEALTHY_BELOW, hand)),
                TurnChart.of(turn, TurnChart.beatError(targets, hand)),
                Rose.of(turn),
                between(job, turn),
                notes(turn, hand));
    }

    /** What lay between two sets of this job; nothing is said where one is of an earlier service. */
    private static List<String> between(OpenJob job, Turn turn) {
        boolean ours = job.readings().containsAll(List.of(turn.before(), turn.after()));
        return !ours
                ? List.of()
                : Interventions.between(job.job().interventions(), turn.before(), turn.after()).stream()
                        .map(Interventions.Intervention::words)
                        .toList();
    }

    private static List<String> sentences(Turn turn, PositionFigures before, PositionFigures after) {
        List<String> out = new ArrayList<>();
        if (!turn.before().ran()) {
            out.add("Before, it did not run.");
            if (after.meanRate().isPresent()) {
                out.add("Now it runs at %s s/d on average, with %s of amplitude."
                        .formatted(signed(after.meanRate().getAsDouble()), degrees(after.meanAmplitude())));
            }
            return out;
        }
        if (before.meanRate().isPresent() && after.meanRate().isPresent()) {
            out.add("The mean rate came from %s to %s s/d%s."
                    .formatted(
                            signed(before.meanRate().getAsDouble()),
                            signed(after.meanRate().getAsDouble()),
                            spread(before, after)));
        }
        if (before.meanAmplitude().isPresent() && after.meanAmplitude().isPresent()) {
            double gained =
                    after.meanAmplitude().getAsDouble() - before.meanAmplitude().getAsDouble();
            out.add("Amplitude %s %.0f° on average.".formatted(gained < 0 ? "lost" : "gained", Math.abs(gained)));
        }
        out.add(verdictSentence(turn));
        return out;
    }

    private static String spread(PositionFigures before, PositionFigures after) {
        return before.spread().isPresent() && after.spread().isPresent()
                ? ", the spread over the positions from %.0f to %.0f"
                        .formatted(
                                before.spread().get().secondsPerDay(),
                                after.spread().get().secondsPerDay())
                : "";
    }

    private static String verdictSentence(Turn turn) {
        List<String> parts = new ArrayList<>();
        for (Verdict verdict : Verdict.values()) {
            count(parts, turn.count(verdict), verdict.words());
        }
        return parts.isEmpty()
                ? "No position was read on both sides."
                : "For the rate, " + String.join("; ", parts) + ".";
    }

    private static void count(List<String> parts, long count, String words) {
        if (count > 0) {
            parts.add(count + (count == 1 ? " position: " : " positions: ") + words);
        }
    }

    private static Row row(Turn.Line line) {
        return new Row(
                line.position().words(),
                line.position().isHorizontal(),
                line.before(),
                line.after(),
                words(line.rate()),
                words(line.amplitude()),
                words(line.beatError()),
                change(line.rate()),
                sentence(line));
    }

    private static String words(@Nullable Difference difference) {
        if (difference == null) {
            return "–";
        }
        return difference.verdict().word();
    }

    /** The change of a rate with two standard errors: "+50.8 ± 4.5". */
    private static String change(@Nullable Difference rate) {
        return rate == null
                ? "–"
                : "%s ± %.1f".formatted(signed(rate.change()), Difference.STANDARD_ERRORS * rate.standardError());
    }

    /** One sentence for each position: what changed, and whether that is beyond the noise. */
    private static String sentence(Turn.Line line) {
        Difference rate = line.rate();
        if (rate == null) {
            return line.before() == null ? "not read before" : "not read after";
        }
        return "%s s/d, %s%s%s"
                .formatted(
                        change(rate),
                        rate.verdict().words(),
                        also("amplitude", line.amplitude(), "%+.0f°"),
                        also("beat error", line.beatError(), "%+.1f ms"));
    }

    private static String also(String name, @Nullable Difference difference, String form) {
        return difference == null
                ? ""
                : "; %s %s: %s"
                        .formatted(name, form.formatted(difference.change()).replace('-', '−'), words(difference));
    }

    private static List<Sum> sums(PositionFigures before, PositionFigures after) {
        return List.of(
                new Sum("mean rate", before.meanRate(), after.meanRate(), "s/d", true),
                new Sum("spread", spreadOf(before), spreadOf(after), "s/d", false),
                new Sum("lying", before.horizontalRate(), after.horizontalRate(), "s/d", true),
                new Sum("hanging", before.verticalRate(), after.verticalRate(), "s/d", true),
                new Sum(
                        "vertical less horizontal",
                        before.verticalLessHorizontal(),
                        after.verticalLessHorizontal(),
                        "s/d",
                        true),
                new Sum(
                        "dial up less dial down",
                        before.dialUpLessDialDownRate(),
                        after.dialUpLessDialDownRate(),
                        "s/d",
                        true),
                new Sum("mean amplitude", before.meanAmplitude(), after.meanAmplitude(), "°", false),
                new Sum("lowest amplitude", before.lowestAmplitude(), after.lowestAmplitude(), "°", false),
                new Sum("drop on edge", before.amplitudeDrop(), after.amplitudeDrop(), "°", false),
                new Sum("largest beat error", before.largestBeatError(), after.largestBeatError(), "ms", false));
    }

    private static OptionalDouble spreadOf(PositionFigures figures) {
        return figures.spread().isPresent()
                ? OptionalDouble.of(figures.spread().get().secondsPerDay())
                : OptionalDouble.empty();
    }

    private static List<String> notes(Turn turn, Repeatability hand) {
        List<Reading> all = Stream.concat(
                        turn.before().byPosition().values().stream(), turn.after().byPosition().values().stream())
                .toList();
        List<String> notes = new ArrayList<>();
        notes.add("Whiskers: two standard errors, with the repeatability of laying the watch down: "
                + HandWords.of(hand) + ".");
        if (all.stream().anyMatch(r -> r.source() == Source.SIMULATED)) {
            notes.add("Simulated readings: made by a simulated movement, not by a watch.");
        }
        SetWords.clocks(List.of(turn.before(), turn.after())).forEach(words -> notes.add(words + "."));
        TreeSet<String> lifts = new TreeSet<>();
        all.forEach(r -> lifts.add("%s°%s"
                .formatted(
                        r.liftAngle().degrees() == Math.rint(r.liftAngle().degrees())
                                ? "%.0f".formatted(r.liftAngle().degrees())
                                : r.liftAngle().degrees(),
                        r.liftAngle().assumed() ? " assumed" : " from the sheet")));
        notes.add("Lift angle " + String.join(" and ", lifts) + ".");
        List<String> unlike = Turn.unlikeWords(turn.before(), turn.after());
        if (!unlike.isEmpty()) {
            notes.add("Laid side by side, not compared: " + String.join(", ", unlike) + ".");
        }
        if (turn.before().ran() && turn.before().fitted() != turn.after().fitted() && unlike.isEmpty()) {
            notes.add("What was fitted was not said on both sides.");
        }
        if (turn.before().ran() && turn.before().wound() != turn.after().wound() && unlike.isEmpty()) {
            notes.add("How far it was wound was not said the same before and after.");
        }
        if (turn.afterDemagnetising()) {
            notes.add("Compared with the reading after demagnetising: what that alone changed is not counted for the"
                    + " service.");
        }
        return notes;
    }

    private static String signed(double value) {
        return "%+.1f".formatted(value).replace('-', '−');
    }

    private static String degrees(OptionalDouble value) {
        return value.isPresent() ? "%.0f°".formatted(value.getAsDouble()) : "–";
    }
}
