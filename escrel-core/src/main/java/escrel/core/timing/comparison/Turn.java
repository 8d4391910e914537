package escrel.core.timing.comparison;

import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Chronograph;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * The turn: what a service changed, position by position. Rate is judged by its distance from the target, amplitude by
 * its distance from the healthy band, beat error by its distance from its limit; a change counts beyond two standard errors only.
 * Source: M10.
 */
public final class Turn {
    /**
     * One position of the turn; a figure missing on either side is absent.
     *
     * @param before nothing when the watch did not run or the position was not taken
     */
    public record Line(
            Position position,
            @Nullable Reading before,
            @Nullable Reading after,
            @Nullable Difference rate,
            @Nullable Difference amplitude,
            @Nullable Difference beatError) {}

    /** Windings that differ by less than this are alike, hours. */
    private static final double ALIKE_HOURS = 3;

    /** No watch that is read runs faster or slower than this, s/d; only bounds are tried up to it. */
    private static final double FASTEST_RATE = 3600;

    private final ReadingSet before;
    private final ReadingSet after;
    private final List<Line> lines;

    private Turn(ReadingSet before, ReadingSet after, List<Line> lines) {
        this.before = before;
        this.after = after;
        this.lines = List.copyOf(lines);
    }

    /**
     * Compares two sets of readings. Sets taken on plainly unlike occasions (wound otherwise, chronograph on and off, other
     * things fitted) are laid side by side without a verdict. Source: M10.
     */
    public static Turn between(ReadingSet before, ReadingSet after, Targets targets, Repeatability repeatability) {
        boolean alike = unlikeWords(before, after).isEmpty();
        List<Line> lines = new ArrayList<>();
        for (Position position : Position.values()) {
            Reading was = before.in(position).orElse(null);
            Reading is = after.in(position).orElse(null);
            if (was != null || is != null) {
                lines.add(new Line(
                        position,
                        was,
                        is,
                        compare(
                                before,
                                after,
                                position,
                                alike,
                                Reading::rateSecondsPerDay,
                                rate(targets, repeatability)),
                        compare(
                                before,
                                after,
                                position,
                                alike,
                                Reading::amplitudeDegrees,
                                amplitude(position, repeatability)),
                        compare(
                                before,
                                after,
                                position,
                                alike,
                                Reading::beatErrorMillis,
                                beatError(targets, repeatability))));
            }
        }
        return new Turn(before, after, lines);
    }

    /** In what two sets were plainly not taken alike; empty when they were, or where one side did not say. */
    public static List<String> unlikeWords(ReadingSet before, ReadingSet after) {
        List<String> unlike = new ArrayList<>();
        if (!before.ran() || !after.ran()) {
            return unlike;
        }
        if (hours(before) >= 0 && hours(after) >= 0 && Math.abs(hours(before) - hours(after)) > ALIKE_HOURS) {
            unlike.add("not equally far wound");
        }
        if (said(before) && said(after) && before.fitted() != after.fitted()) {
            unlike.add("not the same was fitted");
        }
        if ((before.chronograph() == Chronograph.RUNNING) != (after.chronograph() == Chronograph.RUNNING)) {
            unlike.add("the chronograph ran on one side only");
        }
        return unlike;
    }

    private static boolean said(ReadingSet set) {
        return set.fitted() != null && set.fitted() != Fitted.NOT_SAID;
    }

    /** Hours since full wind, −1 where nobody said. */
    private static double hours(ReadingSet set) {
        if (set.wound() == null) {
            return -1;
        }
        return switch (set.wound()) {
            case FULL -> 0;
            case AFTER_12_H -> 12;
            case AFTER_24_H -> 24;
            case AFTER_HOURS -> set.woundHours() == null ? -1 : set.woundHours();
            case PART, UNKNOWN -> -1;
        };
    }

    /**
     * The pair the service is credited with: the last readings before opening (after demagnetising if that was done)
     * against the last final ones; where there are no final ones yet, against the latest since. Nothing without both.
     */
    public static Optional<Turn> ofService(List<ReadingSet> sets, Targets targets, Repeatability repeatability) {
        Optional<ReadingSet> before = last(sets, ReadingState::isBeforeService);
        Optional<ReadingSet> after = last(sets, ReadingState::isFinal)
                .or(() -> sets.stream()
                        .filter(s -> !s.state().isBeforeService())
                        .max(Comparator.comparing(ReadingSet::lastAt))
                        .flatMap(s -> ReadingSet.main(sets, s.state())));
        return before.flatMap(b -> after.map(a -> between(b, a, targets, repeatability)));
    }

    private static Optional<ReadingSet> last(List<ReadingSet> sets, Predicate<ReadingState> which) {
        return sets.stream()
                .map(ReadingSet::state)
                .filter(which)
                .max(Comparator.naturalOrder())
                .flatMap(state -> ReadingSet.main(sets, state));
    }

    private static Difference.Yardstick rate(Targets targets, Repeatability repeatability) {
        return new Difference.Yardstick(
                repeatability.rateSecondsPerDay(), targets::rateMiss, 1, -FASTEST_RATE, FASTEST_RATE);
    }

    private static Difference.Yardstick amplitude(Position position, Repeatability repeatability) {
        double from = Targets.HEALTHY_FROM - (position.isHorizontal() ? 0 : Targets.VERTICAL_DROP);
        return new Difference.Yardstick(
                repeatability.amplitudeDegrees(),
                value -> Math.max(0, Math.max(from - value, value - Targets.HEALTHY_BELOW)),
                3,
                60,
                360);
    }

    private static Difference.Yardstick beatError(Targets targets, Repeatability repeatability) {
        return new Difference.Yardstick(
                repeatability.beatErrorMillis(), millis -> Math.max(0, millis - targets.beatError()), 0.1, 0, 20);
    }

    private static @Nullable Difference compare(
            ReadingSet before,
            ReadingSet after,
            Position position,
            boolean alike,
            Function<Reading, @Nullable Measured> figure,
            Difference.Yardstick yardstick) {
        Reading first = before.in(position).orElse(null);
        Reading second = after.in(position).orElse(null);
        if (first == null || second == null) {
            return null;
        }
        Measured was = figure.apply(first);
        Measured is = figure.apply(second);
        if (was == null || is == null) {
            return null;
        }
        boolean ofRate = was == first.rateSecondsPerDay();
        double clocks = !ofRate || first.sharesClockWith(second)
                ? 0
                : Math.hypot(first.clockDoubtSecondsPerDay(), second.clockDoubtSecondsPerDay());
        Difference difference = Difference.of(
                was, is, width(before, position, figure), width(after, position, figure), clocks, yardstick);
        return alike ? difference : difference.unlike();
    }

    /** How far a figure wandered in a position: the span of its range, or of the readings taken one after another. */
    static double width(ReadingSet set, Position position, Function<Reading, @Nullable Measured> figure) {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (Reading reading : set.allIn(position)) {
            Measured value = figure.apply(reading);
            if (value != null && !value.isBound()) {
                low = Math.min(low, value.isRange() ? value.low() : value.value());
                high = Math.max(high, value.isRange() ? value.high() : value.value());
            }
        }
        return high > low ? high - low : 0;
    }

    /** The readings before. */
    public ReadingSet before() {
        return before;
    }

    /** The readings after. */
    public ReadingSet after() {
        return after;
    }

    /** One line for each position read on either side. */
    public List<Line> lines() {
        return lines;
    }

    /** Whether the watch was demagnetised first, so that part of its recovery is not the service's. */
    public boolean afterDemagnetising() {
        return before.state() == ReadingState.AFTER_DEMAGNETISING;
    }

    /** How many positions have this verdict for their rate. */
    public long count(Verdict verdict) {
        return lines.stream()
                .filter(l -> l.rate() != null && l.rate().verdict() == verdict)
                .count();
    }
}
