package escrel.core.timing.readings;

import escrel.core.service.JobHistory;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Parts a job's readings into sets: by occasion, and anew after whatever may have changed the watch between. */
final class Sittings {
    /** A set while it is gathered. */
    private static final class Gathered {
        private final Map<Position, List<Reading>> all = new EnumMap<>(Position.class);
        private final int time;
        private final int firstAt;
        private int lastAt;

        private Gathered(int time, int firstAt) {
            this.time = time;
            this.firstAt = firstAt;
        }
    }

    private final List<ReadingSet> done = new ArrayList<>();
    private final Map<Occasion, Gathered> open = new LinkedHashMap<>();
    private final Map<Occasion, Integer> times = new LinkedHashMap<>();
    private final Map<ReadingState, Integer> deadTimes = new EnumMap<>(ReadingState.class);
    private boolean readAfterOpening;

    private Sittings() {}

    static List<ReadingSet> of(JobHistory history) {
        Sittings sittings = new Sittings();
        history.counting(
                        ReadingTaken.class,
                        DidNotRun.class,
                        Intervened.class,
                        Demagnetised.class,
                        OpenedAgain.class,
                        PartOff.class)
                .forEach(sittings::take);
        sittings.close();
        return sittings.done;
    }

    private void take(RecordedStep entry) {
        Step step = entry.step();
        if (step instanceof ReadingTaken taken) {
            add(taken, entry.sequence());
        } else if (step instanceof DidNotRun none) {
            int time = deadTimes.merge(none.state(), 1, Integer::sum);
            done.add(set(
                    none.state(), Map.of(), Map.of(), null, none.words(), time, entry.sequence(), entry.sequence()));
        } else if (liesBetween(step)) {
            close();
        }
    }

    /** After what is asked for beside readings a reading is of another state of the watch; of opening only the second time. */
    private boolean liesBetween(Step step) {
        return !(step instanceof PartOff) || readAfterOpening;
    }

    private void add(ReadingTaken taken, int at) {
        readAfterOpening |= !taken.state().isBeforeService();
        Gathered gathered =
                open.computeIfAbsent(taken.occasion(), o -> new Gathered(times.merge(o, 1, Integer::sum), at));
        gathered.all
                .computeIfAbsent(taken.reading().position(), p -> new ArrayList<>())
                .add(taken.reading());
        gathered.lastAt = at;
    }

    private void close() {
        open.forEach((occasion, g) -> {
            Map<Position, Reading> last = new EnumMap<>(Position.class);
            Map<Position, List<Reading>> all = new EnumMap<>(Position.class);
            g.all.forEach((position, readings) -> {
                last.put(position, readings.get(readings.size() - 1));
                all.put(position, List.copyOf(readings));
            });
            done.add(set(occasion.state(), last, all, occasion, null, g.time, g.firstAt, g.lastAt));
        });
        open.clear();
        readAfterOpening = false;
    }

    private static ReadingSet set(
            ReadingState state,
            Map<Position, Reading> last,
            Map<Position, List<Reading>> all,
            @Nullable Occasion o,
            @Nullable String didNotRun,
            int time,
            int firstAt,
            int lastAt) {
        return new ReadingSet(
                state,
                last,
                all,
                o == null ? null : o.fitted(),
                o == null ? null : o.wound(),
                o == null ? null : o.woundHours(),
                o == null ? Chronograph.NOT_SAID : o.chronograph(),
                didNotRun,
                time,
                firstAt,
                lastAt);
    }
}
