package escrel.web.turn;

import escrel.core.regulation.Interventions;
import escrel.core.timing.comparison.Difference;
import escrel.core.timing.comparison.PositionFigures;
import escrel.core.timing.comparison.Repeatability;
import escrel.core.timing.comparison.Turn;
import escrel.core.timing.comparison.Verdict;
import escrel.core.timing.readings.Occasion;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.Wound;
import escrel.web.chart.TurnView;
import escrel.web.format.Show;
import escrel.web.job.OpenJob;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * The job's line of time: its sets of readings as points, and between two of them what was done and what that changed.
 *
 * @param points first first; fewer than two make no line
 */
record TimeLine(List<Point> points) {
    private static final Show SHORT = new Show();

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

    static TimeLine of(OpenJob job, Repeatability hand) {
        List<ReadingSet> inTime = job.readings().stream()
                .sorted(Comparator.comparing(ReadingSet::firstAt))
                .toList();
        List<ReadingSet> main = inTime.stream()
                .filter(s -> !s.ran() || s.occasion().map(Occasion::isMain).orElse(false))
                .toList();
        List<Point> points = new ArrayList<>();
        ReadingSet last = null;
        for (ReadingSet set : main) {
            points.add(new Point(
                    set.key(),
                    SHORT.words(set.state()),
                    !set.ran(),
                    last == null ? null : between(job, inTime, last, set, hand)));
            last = set;
        }
        return new TimeLine(List.copyOf(points));
    }

    private static Between between(
            OpenJob job, List<ReadingSet> inTime, ReadingSet before, ReadingSet after, Repeatability hand) {
        List<Interventions.Intervention> acts = Interventions.between(job.job().interventions(), before, after);
        List<String> effects = new ArrayList<>(effects("", TurnView.turn(job, before, after, hand)));
        later(inTime, before, acts)
                .ifPresent(was -> laterAfter(job, inTime, after, was)
                        .ifPresent(is -> effects(after(was), TurnView.turn(job, was, is, hand)).stream()
                                .limit(1)
                                .forEach(effects::add)));
        return new Between(before.key(), acts(acts), List.copyOf(effects));
    }

    /** Running down counts too: the last set of another winding before what was done. */
    private static Optional<ReadingSet> later(
            List<ReadingSet> inTime, ReadingSet before, List<Interventions.Intervention> acts) {
        int until = acts.isEmpty() ? 0 : acts.get(0).at();
        return inTime.stream()
                .filter(s -> s.firstAt() > before.lastAt() && s.lastAt() < until && isLater(s))
                .reduce((a, b) -> b);
    }

    /** The first of the same winding after it, before the next thing was done. */
    private static Optional<ReadingSet> laterAfter(
            OpenJob job, List<ReadingSet> inTime, ReadingSet after, ReadingSet was) {
        return inTime.stream()
                .filter(s -> s.firstAt() > after.lastAt()
                        && s.state() == was.state()
                        && s.wound() == was.wound()
                        && isLater(s))
                .filter(s -> Interventions.between(job.job().interventions(), after, s)
                        .isEmpty())
                .findFirst();
    }

    private static boolean isLater(ReadingSet set) {
        return set.ran() && (set.wound() == Wound.AFTER_24_H || set.wound() == Wound.AFTER_12_H);
    }

    private static String after(ReadingSet set) {
        return set.wound() == Wound.AFTER_12_H ? "after 12 h " : "after 24 h ";
    }

    /** Openings first; that it was demagnetised goes without saying where more was done. */
    private static List<String> acts(List<Interventions.Intervention> acts) {
        return acts.stream()
                .map(TimeLine::shortly)
                .filter(w -> acts.size() == 1 || !w.equals("demagnetised"))
                .sorted(Comparator.comparing(w -> w.startsWith("opened") || w.startsWith("taken") ? 0 : 1))
                .toList();
    }

    /** Without what stands in brackets and behind a colon: the whole is said under the chart. */
    private static String shortly(Interventions.Intervention act) {
        return act.words().replaceAll(" \\(.*\\)", "").replaceAll(": .*", "");
    }

    private static List<String> effects(String when, Turn turn) {
        List<String> effects = new ArrayList<>();
        PositionFigures was = PositionFigures.of(turn.before());
        PositionFigures is = PositionFigures.of(turn.after());
        effect(effects, when + "%+.0f°", change(was.meanAmplitude(), is.meanAmplitude()), turn, Turn.Line::amplitude);
        effect(
                effects,
                when + "%+.1f ms",
                change(was.largestBeatError(), is.largestBeatError()),
                turn,
                Turn.Line::beatError);
        effect(effects, when + "%+.0f s/d", change(was.meanRate(), is.meanRate()), turn, Turn.Line::rate);
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
        effects.add(form.formatted(change.getAsDouble()).replace('-', '−') + " " + said(verdicts));
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
