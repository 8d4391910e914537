package escrel.core.timing.readings;

import escrel.core.quantity.LiftAngle;
import escrel.core.service.JobHistory;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * The readings of one occasion, one for each position taken.
 *
 * @param byPosition in the order of the positions; empty for a watch that did not run
 * @param fitted what was fitted, nothing for a watch that did not run
 * @param woundHours hours since full wind, when typed
 */
public record ReadingSet(
        ReadingState state,
        Map<Position, Reading> byPosition,
        @Nullable Fitted fitted,
        @Nullable Wound wound,
        @Nullable Double woundHours,
        @Nullable Chronograph chronograph,
        @Nullable String didNotRun) {
    /** A set of which nothing is said of hours and chronograph. */
    public ReadingSet(
            ReadingState state,
            Map<Position, Reading> byPosition,
            @Nullable Fitted fitted,
            @Nullable Wound wound,
            @Nullable String didNotRun) {
        this(state, byPosition, fitted, wound, null, Chronograph.NOT_SAID, didNotRun);
    }

    /** The sets of a job, in the order of their occasions. */
    public static List<ReadingSet> of(JobHistory history) {
        Map<Occasion, EnumMap<Position, Reading>> taken = new TreeMap<>();
        Map<ReadingState, String> dead = new EnumMap<>(ReadingState.class);
        history.counting().forEach(entry -> {
            if (entry.step() instanceof ReadingTaken step) {
                taken.computeIfAbsent(step.occasion(), o -> new EnumMap<>(Position.class))
                        .put(step.reading().position(), step.reading());
                dead.remove(step.state());
            } else if (entry.step() instanceof DidNotRun none) {
                dead.put(none.state(), none.words());
                taken.keySet().removeIf(o -> o.state() == none.state());
            }
        });
        List<ReadingSet> sets = new ArrayList<>();
        taken.forEach((occasion, readings) -> sets.add(new ReadingSet(
                occasion.state(),
                readings,
                occasion.fitted(),
                occasion.wound(),
                occasion.woundHours(),
                occasion.chronograph(),
                null)));
        dead.forEach((state, words) -> sets.add(new ReadingSet(state, Map.of(), null, null, words)));
        sets.sort(Comparator.comparing(ReadingSet::state));
        return List.copyOf(sets);
    }

    /** The set of one state by which it is usually judged, if anything was recorded in it. */
    public static Optional<ReadingSet> of(JobHistory history, ReadingState state) {
        return main(of(history), state);
    }

    /**
     * The set by which a state is usually judged: at full wind with the chronograph at rest, the last of those; else the
     * first there is.
     */
    public static Optional<ReadingSet> main(List<ReadingSet> sets, ReadingState state) {
        List<ReadingSet> here = sets.stream().filter(s -> s.state() == state).toList();
        return here.stream()
                .filter(ReadingSet::isMain)
                .reduce((first, second) -> second)
                .or(() -> here.stream().findFirst());
    }

    private boolean isMain() {
        return occasion().map(Occasion::isMain).orElse(true);
    }

    /** The occasion; nothing for a watch that did not run. */
    public Optional<Occasion> occasion() {
        return fitted == null || wound == null
                ? Optional.empty()
                : Optional.of(new Occasion(state, fitted, wound, woundHours, chronograph));
    }

    /** Key of the occasion, the same for as long as the job is: for addresses. */
    public String key() {
        return state
                + (fitted == null ? "" : "-" + fitted)
                + (wound == null ? "" : "-" + wound)
                + (woundHours == null ? "" : "-" + woundHours)
                + (chronograph == Chronograph.RUNNING ? "-RUNNING" : "");
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
        return new ReadingSet(state, again, fitted, wound, woundHours, chronograph, didNotRun);
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
