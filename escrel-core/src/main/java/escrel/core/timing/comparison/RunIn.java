package escrel.core.timing.comparison;

import escrel.core.quantity.Measured;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.timing.readings.Chronograph;
import escrel.core.timing.readings.DidNotRun;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.StoppedAfter;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * Running in and running down: readings over hours since the first run, which one is due next, and what full wind, 12 h
 * and 24 h differ by. Source: M9; the times of run-in from the craft: at the start, after some hours, after a day.
 */
public final class RunIn {
    /** The second reading of a run-in is due this long after the first. */
    public static final Duration SOME_HOURS = Duration.ofHours(6);
    /** The last reading of a run-in, and the one for running down, are due this long after the first. */
    public static final Duration A_DAY = Duration.ofHours(24);

    // a reading this much before its time stands for it
    private static final double EARLY = 0.75;

    private RunIn() {}

    /**
     * One reading on the curve.
     *
     * @param hours since the first reading after assembly
     */
    public record Point(double hours, ReadingTaken taken) {}

    /**
     * A clock that runs.
     *
     * @param words what is due
     */
    public record Due(Instant at, String words) {}

    /**
     * Full wind against later, over the positions read on both sides.
     *
     * @param hours since full wind
     * @param rateSecondsPerDay later less full, mean over the positions
     * @param amplitudeDegrees later less full, mean over the positions
     * @param positions how many positions both sides have
     * @param chronographRunning whether the chronograph ran on both sides
     */
    public record Down(
            double hours,
            double rateSecondsPerDay,
            double amplitudeDegrees,
            int positions,
            boolean chronographRunning) {}

    /**
     * All readings since the first after the last closing, in order of time; empty before.
     *
     * @param closedAt sequence at which what stops the movement was lifted or refitted last; 0 when it never was
     */
    public static List<Point> curve(JobHistory history, int closedAt) {
        List<RecordedStep> readings = sinceClosing(history, closedAt);
        if (readings.isEmpty()) {
            return List.of();
        }
        Instant first = readings.get(0).at();
        return readings.stream()
                .map(r -> new Point(Duration.between(first, r.at()).toMillis() / 3_600_000.0, (ReadingTaken) r.step()))
                .toList();
    }

    /** Readings of the running movement since it was closed last; a watch that was found standing starts anew. */
    private static List<RecordedStep> sinceClosing(JobHistory history, int closedAt) {
        int stood = history.lastAt(DidNotRun.class, none -> !none.state().isBeforeService());
        return history.counting(ReadingTaken.class).stream()
                .filter(s -> s.sequence() > Math.max(closedAt, stood))
                .filter(s -> s.step() instanceof ReadingTaken t && !t.state().isBeforeService())
                .toList();
    }

    /**
     * The clock that runs for a job, nothing when none does. It starts with the first reading after the last closing.
     *
     * @param closedAt as for the curve
     */
    public static Optional<Due> nextDue(JobHistory history, int closedAt) {
        List<RecordedStep> all = sinceClosing(history, closedAt);
        Optional<RecordedStep> finished = all.stream()
                .filter(s -> ((ReadingTaken) s.step()).state().isFinal())
                .reduce((first, second) -> second);
        if (finished.isPresent()) {
            return afterFinal(all, finished.get());
        }
        if (all.isEmpty()) {
            return Optional.empty();
        }
        Instant first = all.get(0).at();
        if (none(all, first, SOME_HOURS)) {
            return Optional.of(new Due(first.plus(SOME_HOURS), "run-in reading after some hours"));
        }
        return none(all, first, A_DAY)
                ? Optional.of(new Due(first.plus(A_DAY), "run-in reading after a day"))
                : Optional.empty();
    }

    /** After the final readings at full wind, those a day later; a handed-over watch waits for none. */
    private static Optional<Due> afterFinal(List<RecordedStep> all, RecordedStep last) {
        boolean down = all.stream()
                .map(s -> (ReadingTaken) s.step())
                .anyMatch(t -> t.state().isFinal() && t.hoursSinceWound().orElse(0) >= EARLY * A_DAY.toHours());
        return down ? Optional.empty() : Optional.of(new Due(last.at().plus(A_DAY), "reading 24 h after full wind"));
    }

    private static boolean none(List<RecordedStep> all, Instant first, Duration wanted) {
        return all.stream().noneMatch(s -> Duration.between(first, s.at()).toMillis() >= EARLY * wanted.toMillis());
    }

    /**
     * What running down changed in a state, for each later time that was read, with the chronograph at rest and running
     * apart; empty without readings at full wind.
     */
    public static List<Down> down(JobHistory history, ReadingState state, int closedAt) {
        List<Down> out = new ArrayList<>();
        for (boolean running : new boolean[] {false, true}) {
            List<ReadingTaken> taken = sinceClosing(history, closedAt).stream()
                    .map(s -> (ReadingTaken) s.step())
                    .filter(t -> t.state() == state && t.hoursSinceWound().isPresent())
                    .filter(t -> (t.chronograph() == Chronograph.RUNNING) == running)
                    .toList();
            taken.stream()
                    .map(t -> t.hoursSinceWound().getAsDouble())
                    .filter(h -> h > 0)
                    .distinct()
                    .sorted()
                    .forEach(h -> down(taken, h, running).ifPresent(out::add));
        }
        return List.copyOf(out);
    }

    private static Optional<Down> down(List<ReadingTaken> taken, double hours, boolean running) {
        double rate = 0;
        double amplitude = 0;
        int count = 0;
        for (Position position : Position.values()) {
            Optional<Reading> full = at(taken, 0, position);
            Optional<Reading> later = at(taken, hours, position);
            if (full.isPresent() && later.isPresent()) {
                OptionalDouble r =
                        difference(full.get().rateSecondsPerDay(), later.get().rateSecondsPerDay());
                OptionalDouble a =
                        difference(full.get().amplitudeDegrees(), later.get().amplitudeDegrees());
                if (r.isPresent() && a.isPresent()) {
                    rate += r.getAsDouble();
                    amplitude += a.getAsDouble();
                    count++;
                }
            }
        }
        return count == 0
                ? Optional.empty()
                : Optional.of(new Down(hours, rate / count, amplitude / count, count, running));
    }

    private static Optional<Reading> at(List<ReadingTaken> taken, double hours, Position position) {
        return taken.stream()
                .filter(t -> t.reading().position() == position)
                .filter(t -> t.hoursSinceWound().getAsDouble() == hours)
                .map(ReadingTaken::reading)
                .reduce((first, last) -> last);
    }

    private static OptionalDouble difference(@Nullable Measured full, @Nullable Measured later) {
        return full == null || later == null || full.isBound() || later.isBound()
                ? OptionalDouble.empty()
                : OptionalDouble.of(later.value() - full.value());
    }

    /** Power reserve in hours as measured, the latest. */
    public static OptionalDouble reserveHours(JobHistory history) {
        return history.last(StoppedAfter.class)
                .map(s -> OptionalDouble.of(s.hours()))
                .orElseGet(OptionalDouble::empty);
    }
}
