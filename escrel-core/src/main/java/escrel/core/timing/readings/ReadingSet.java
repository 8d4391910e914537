package escrel.core.timing.readings;

import escrel.core.service.JobHistory;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The readings of one occasion between two interventions. Several of one position are all kept: the last is shown, the
 * span between them is their wandering. No reading replaces another in silence. Source: M5, craft 9.
 *
 * @param byPosition the last of each position taken; empty for a watch that did not run
 * @param all every reading of each position, first first
 * @param fitted what was fitted, nothing for a watch that did not run
 * @param woundHours hours since full wind, when typed
 * @param time 1 for the first set of its occasion in the job, 2 for the next, after something lay between
 * @param firstAt sequence of its first step
 * @param lastAt sequence of its last step
 */
public record ReadingSet(
        ReadingState state,
        Map<Position, Reading> byPosition,
        Map<Position, List<Reading>> all,
        @Nullable Fitted fitted,
        @Nullable Wound wound,
        @Nullable Double woundHours,
        @Nullable Chronograph chronograph,
        @Nullable String didNotRun,
        int time,
        int firstAt,
        int lastAt) {
    /** A set by itself, of which nothing is said of hours and chronograph. */
    public ReadingSet(
            ReadingState state,
            Map<Position, Reading> byPosition,
            @Nullable Fitted fitted,
            @Nullable Wound wound,
            @Nullable String didNotRun) {
        this(state, byPosition, eachOnce(byPosition), fitted, wound, null, Chronograph.NOT_SAID, didNotRun, 1, 0, 0);
    }

    private static Map<Position, List<Reading>> eachOnce(Map<Position, Reading> readings) {
        Map<Position, List<Reading>> all = new EnumMap<>(Position.class);
        readings.forEach((position, reading) -> all.put(position, List.of(reading)));
        return all;
    }

    /** The sets of a job, in the order of their states, then of time. */
    public static List<ReadingSet> of(JobHistory history) {
        List<ReadingSet> sets = new ArrayList<>(Sittings.of(history));
        sets.sort(Comparator.comparing(ReadingSet::state).thenComparing(ReadingSet::lastAt));
        return List.copyOf(sets);
    }

    /** The set of one state by which it is usually judged, if anything was recorded in it. */
    public static Optional<ReadingSet> of(JobHistory history, ReadingState state) {
        return main(of(history), state);
    }

    /**
     * The set by which a state is usually judged: the latest at full wind with the chronograph at rest; else the first of
     * the latest there are.
     */
    public static Optional<ReadingSet> main(List<ReadingSet> sets, ReadingState state) {
        List<ReadingSet> here = sets.stream()
                .filter(s -> s.state() == state)
                .sorted(Comparator.comparing(ReadingSet::lastAt))
                .toList();
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

    /** Key of the set, the same for as long as the job is: for addresses. */
    public String key() {
        return occasion().map(Occasion::key).orElse(state.name()) + (time == 1 ? "" : "-" + time);
    }

    /** Whether the watch ran. */
    public boolean ran() {
        return didNotRun == null;
    }

    /** The reading of one position that is shown: the last. */
    public Optional<Reading> in(Position position) {
        return Optional.ofNullable(byPosition.get(position));
    }

    /** Every reading of one position, first first. */
    public List<Reading> allIn(Position position) {
        return all.getOrDefault(position, List.of());
    }
}
