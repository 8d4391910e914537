package escrel.core.clock;

import escrel.core.service.RecordedStep;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The clocks that were set and not ended, and what they show. */
public final class Clocks {
    /**
     * One of them.
     *
     * @param set when
     */
    public record Running(Timed clock, Instant set) {
        /** Where it stands. */
        public Timed.Stand at(Instant now) {
            return clock.at(set, now);
        }

        /** When it is over. */
        public Instant ends() {
            return set.plus(clock.length());
        }
    }

    private final Map<String, Running> running = new LinkedHashMap<>();

    private Clocks() {}

    /** The clocks after these acts; acts of other kinds say nothing of them. */
    public static Clocks of(List<RecordedStep> acts) {
        Clocks clocks = new Clocks();
        for (RecordedStep entry : acts) {
            if (entry.step() instanceof Timed timed) {
                clocks.running.put(timed.id(), new Running(timed, entry.at()));
            } else if (entry.step() instanceof ClockMoved moved) {
                clocks.running.computeIfPresent(moved.id(), (id, r) -> moved(r, moved.stretch(), entry.at()));
            } else if (entry.step() instanceof ClockEnded ended) {
                clocks.running.remove(ended.id());
            }
        }
        return clocks;
    }

    /** As if it had been set so long ago that this stretch begins now. */
    private static Running moved(Running running, int stretch, Instant now) {
        long before = running.clock().stretches().stream()
                .limit(stretch)
                .mapToLong(Timed.Stretch::seconds)
                .sum();
        return new Running(running.clock(), now.minusSeconds(before));
    }

    /** Those that run or wait to be seen to, the one that ends first in front. */
    public List<Running> running() {
        return running.values().stream()
                .sorted((a, b) -> a.ends().compareTo(b.ends()))
                .toList();
    }

    /** Those of a job. */
    public List<Running> of(int job) {
        return running().stream()
                .filter(r -> Integer.valueOf(job).equals(r.clock().job()))
                .toList();
    }

    /** The one of this mark, while it runs. */
    public Optional<Running> byId(String id) {
        return Optional.ofNullable(running.get(id));
    }
}
