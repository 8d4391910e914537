package escrel.core.timing.readings;

import escrel.core.quantity.LiftAngle;
import escrel.core.service.JobHistory;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The readings of one state, one for each position taken.
 *
 * @param byPosition in the order of the positions; empty for a watch that did not run
 * @param fitted what was fitted for the last of them, nothing for a watch that did not run
 */
public record ReadingSet(
        ReadingState state,
        Map<Position, Reading> byPosition,
        @Nullable Fitted fitted,
        @Nullable Wound wound,
        @Nullable String didNotRun) {
    /** The sets of a job, in the order of the states. */
    public static List<ReadingSet> of(JobHistory history) {
        Map<ReadingState, EnumMap<Position, ReadingTaken>> taken = new EnumMap<>(ReadingState.class);
        Map<ReadingState, String> dead = new EnumMap<>(ReadingState.class);
        history.counting().forEach(entry -> {
            if (entry.step() instanceof ReadingTaken reading) {
                taken.computeIfAbsent(reading.state(), s -> new EnumMap<>(Position.class))
                        .put(reading.reading().position(), reading);
                dead.remove(reading.state());
            } else if (entry.step() instanceof DidNotRun none) {
                dead.put(none.state(), none.words());
                taken.remove(none.state());
            }
        });
        List<ReadingSet> sets = new ArrayList<>();
        for (ReadingState state : ReadingState.values()) {
            if (dead.containsKey(state)) {
                sets.add(new ReadingSet(state, Map.of(), null, null, dead.get(state)));
            } else if (taken.containsKey(state)) {
                sets.add(from(state, taken.get(state)));
            }
        }
        return List.copyOf(sets);
    }

    private static ReadingSet from(ReadingState state, EnumMap<Position, ReadingTaken> taken) {
        EnumMap<Position, Reading> readings = new EnumMap<>(Position.class);
        taken.forEach((position, step) -> readings.put(position, step.reading()));
        ReadingTaken last = List.copyOf(taken.values()).get(taken.size() - 1);
        return new ReadingSet(state, readings, last.fitted(), last.wound(), null);
    }

    /** The set of one state, if anything was recorded in it. */
    public static Optional<ReadingSet> of(JobHistory history, ReadingState state) {
        return of(history).stream().filter(s -> s.state() == state).findFirst();
    }

    /**
     * This set with what was heard under an assumed lift angle worked out again for the known one. Typed figures stay as
     * read: which lift angle their machine was set to, nobody said.
     */
    public ReadingSet underKnown(LiftAngle known) {
        Map<Position, Reading> again = new EnumMap<>(Position.class);
        byPosition.forEach((position, reading) -> again.put(
                position,
                reading.lift() != null && reading.liftAngle().assumed() ? reading.withLiftAngle(known) : reading));
        return new ReadingSet(state, again, fitted, wound, didNotRun);
    }

    /** Whether the watch ran. */
    public boolean ran() {
        return didNotRun == null;
    }

    /** The reading of one position, if taken. */
    public Optional<Reading> in(Position position) {
        return Optional.ofNullable(byPosition.get(position));
    }
}
