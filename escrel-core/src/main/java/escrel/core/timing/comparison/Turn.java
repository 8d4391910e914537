package escrel.core.timing.comparison;

import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * The turn: what a service changed, position by position. Rate is judged by its distance from the target, amplitude by
 * its distance from the healthy band, beat error by its size; a change counts beyond two standard errors only.
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

    private final ReadingSet before;
    private final ReadingSet after;
    private final List<Line> lines;

    private Turn(ReadingSet before, ReadingSet after, List<Line> lines) {
        this.before = before;
        this.after = after;
        this.lines = List.copyOf(lines);
    }

    /** Compares two sets of readings. */
    public static Turn between(ReadingSet before, ReadingSet after, Targets targets, Repeatability repeatability) {
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
                                was,
                                is,
                                clockCancels(was, is) ? Reading::rateSecondsPerDay : Reading::rateWithClock,
                                repeatability.rateSecondsPerDay(),
                                targets::rateMiss),
                        compare(
                                was,
                                is,
                                Reading::amplitudeDegrees,
                                repeatability.amplitudeDegrees(),
                                amplitudeMiss(position)),
                        compare(was, is, Reading::beatErrorMillis, repeatability.beatErrorMillis(), millis -> millis)));
            }
        }
        return new Turn(before, after, lines);
    }

    /**
     * The pair the service is credited with: the last readings before opening (after demagnetising if that was done)
     * against the last final ones; where there are no final ones yet, against the latest since. Nothing without both.
     */
    public static Optional<Turn> ofService(List<ReadingSet> sets, Targets targets, Repeatability repeatability) {
        Optional<ReadingSet> before = last(sets, ReadingState::isBeforeService);
        Optional<ReadingSet> after = last(sets, state -> !state.isBeforeService());
        return before.flatMap(b -> after.map(a -> between(b, a, targets, repeatability)));
    }

    private static Optional<ReadingSet> last(List<ReadingSet> sets, Predicate<ReadingState> which) {
        return sets.stream()
                .map(ReadingSet::state)
                .filter(which)
                .max(Comparator.naturalOrder())
                .flatMap(state -> ReadingSet.main(sets, state));
    }

    private static DoubleUnaryOperator amplitudeMiss(Position position) {
        double from = Targets.HEALTHY_FROM - (position.isHorizontal() ? 0 : Targets.VERTICAL_DROP);
        return value -> Math.max(0, Math.max(from - value, value - Targets.HEALTHY_BELOW));
    }

    /** Rates heard through one device share its clock, so that it cancels between them. */
    private static boolean clockCancels(@Nullable Reading was, @Nullable Reading is) {
        return was != null && is != null && was.clock() != null && was.clock().sameAs(is.clock());
    }

    private static @Nullable Difference compare(
            @Nullable Reading before,
            @Nullable Reading after,
            Function<Reading, @Nullable Measured> figure,
            double repeatability,
            DoubleUnaryOperator badness) {
        Measured was = before == null ? null : figure.apply(before);
        Measured is = after == null ? null : figure.apply(after);
        return was == null || is == null ? null : Difference.of(was, is, repeatability, badness);
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
