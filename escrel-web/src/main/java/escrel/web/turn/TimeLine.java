package escrel.web.turn;

import escrel.core.regulation.Interventions;
import escrel.core.timing.comparison.Difference;
import escrel.core.timing.comparison.PositionFigures;
import escrel.core.timing.comparison.Turn;
import escrel.core.timing.comparison.Verdict;
import escrel.core.timing.readings.Occasion;
import escrel.core.timing.readings.ReadingSet;
import escrel.web.chart.SetWords;
import escrel.web.chart.TurnView;
import escrel.web.job.OpenJob;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * The job's line of time: its sets of readings as points, and between two of them what was done and what that changed.
 *
 * @param points first first; fewer than two make no line
 */
record TimeLine(List<Point> points) {
    /**
     * A set of readings.
     *
     * @param key of the set
     * @param words its occasion
     * @param dead whether the watch did not run
     * @param before what lies between the point before and this one; nothing for the first
     */
    record Point(
            String key,
            String words,
            boolean dead,
            @Nullable Between before) {}

    /**
     * What lies between two points.
     *
     * @param from key of the set before
     * @param acts what was done
     * @param effects what it changed, each with its verdict
     */
    record Between(String from, List<String> acts, List<String> effects) {}

    static TimeLine of(OpenJob job) {
        List<ReadingSet> sets = job.readings().stream()
                .filter(s -> !s.ran() || s.occasion().map(Occasion::isMain).orElse(false))
                .sorted(Comparator.comparing(ReadingSet::firstAt))
                .toList();
        List<Point> points = new ArrayList<>();
        ReadingSet last = null;
        for (ReadingSet set : sets) {
            points.add(
                    new Point(set.key(), SetWords.of(set), !set.ran(), last == null ? null : between(job, last, set)));
            last = set;
        }
        return new TimeLine(List.copyOf(points));
    }

    private static Between between(OpenJob job, ReadingSet before, ReadingSet after) {
        List<String> acts = Interventions.between(job.job().interventions(), before, after).stream()
                .map(Interventions.Intervention::words)
                .toList();
        return new Between(before.key(), acts, effects(TurnView.turn(job, before, after)));
    }

    private static List<String> effects(Turn turn) {
        List<String> effects = new ArrayList<>();
        PositionFigures was = PositionFigures.of(turn.before());
        PositionFigures is = PositionFigures.of(turn.after());
        effect(
                effects,
                "%+.0f° amplitude",
                change(was.meanAmplitude(), is.meanAmplitude()),
                turn,
                Turn.Line::amplitude);
        effect(
                effects,
                "%+.1f ms beat error",
                change(was.largestBeatError(), is.largestBeatError()),
                turn,
                Turn.Line::beatError);
        effect(effects, "%+.1f s/d", change(was.meanRate(), is.meanRate()), turn, Turn.Line::rate);
        return List.copyOf(effects);
    }

    /** A figure is named when it changed beyond the noise in some position, with the plainest of its verdicts. */
    private static void effect(
            List<String> effects,
            String form,
            OptionalDouble change,
            Turn turn,
            Function<Turn.Line, @Nullable Difference> figure) {
        List<Verdict> verdicts = new ArrayList<>();
        for (Turn.Line line : turn.lines()) {
            Difference difference = figure.apply(line);
            if (difference != null) {
                verdicts.add(difference.verdict());
            }
        }
        if (change.isEmpty() || verdicts.isEmpty() || verdicts.stream().allMatch(v -> v == Verdict.NO_CHANGE)) {
            return;
        }
        effects.add(form.formatted(change.getAsDouble()).replace('-', '−') + ", " + said(verdicts));
    }

    private static String said(List<Verdict> verdicts) {
        boolean better = verdicts.contains(Verdict.BETTER);
        boolean worse = verdicts.contains(Verdict.WORSE);
        if (better && worse) {
            return "better and worse";
        }
        Verdict plain = better
                ? Verdict.BETTER
                : worse
                        ? Verdict.WORSE
                        : verdicts.stream()
                                .filter(v -> v != Verdict.NO_CHANGE)
                                .findFirst()
                                .orElse(Verdict.NO_CHANGE);
        return plain.word();
    }

    private static OptionalDouble change(OptionalDouble was, OptionalDouble is) {
        return was.isPresent() && is.isPresent()
                ? OptionalDouble.of(is.getAsDouble() - was.getAsDouble())
                : OptionalDouble.empty();
    }
}
