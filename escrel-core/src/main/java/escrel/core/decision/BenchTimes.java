package escrel.core.decision;

import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.FindingWorked;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;

/**
 * How long work at the bench takes in this workshop, from the times of what was recorded. An act is recorded when it is done, so
 * the time since the act before is what it took; a longer pause was something else. The limits of a pause are ours.
 */
public final class BenchTimes {
    /** Nothing was timed yet. */
    public static final BenchTimes NONE = new BenchTimes(Map.of());

    /** As many pieces of work of a kind as say more than an assumption. Ours. */
    public static final int ENOUGH = 3;

    private static final Duration SHORTEST_WORK = Duration.ofMinutes(1);
    private static final Duration LONGEST_WORK = Duration.ofHours(4);
    private static final Duration LONGEST_STEP = Duration.ofMinutes(30);
    private static final int ROUNDED_TO = 5;

    private final Map<Decision, List<Double>> minutes;

    private BenchTimes(Map<Decision, List<Double>> minutes) {
        this.minutes = minutes;
    }

    /**
     * One piece of work.
     *
     * @param at sequence of the step that said it was done
     * @param minutes since the act before
     */
    public record Worked(int at, Decision decision, double minutes) {}

    /** The times of these pieces of work, of whichever jobs. */
    public static BenchTimes of(List<Worked> all) {
        Map<Decision, List<Double>> minutes = new EnumMap<>(Decision.class);
        all.forEach(w ->
                minutes.computeIfAbsent(w.decision(), d -> new ArrayList<>()).add(w.minutes()));
        return new BenchTimes(minutes);
    }

    /**
     * What was carried out in a job and how long each took. What was written down at once, or hours later, was not timed by it.
     */
    public static List<Worked> ofJob(JobHistory history) {
        List<Worked> worked = new ArrayList<>();
        Map<String, Decision> decided = new HashMap<>();
        RecordedStep before = null;
        for (RecordedStep entry : history.counting()) {
            if (entry.step() instanceof Decided d) {
                decided.put(d.finding(), d.decision());
            } else if (before != null && entry.step() instanceof FindingWorked done) {
                Decision way = decided.get(done.finding());
                Duration took = Duration.between(before.at(), entry.at());
                boolean timed = took.compareTo(SHORTEST_WORK) >= 0 && took.compareTo(LONGEST_WORK) <= 0;
                if (way != null && timed && done.outcome() == FindingWorked.Outcome.DONE) {
                    worked.add(new Worked(entry.sequence(), way, took.toSeconds() / 60.0));
                }
            }
            before = entry.step().standsForItself() ? before : entry;
        }
        return worked;
    }

    /**
     * Minutes at the bench of a whole job: every act by the time since the one before it, pauses of more than half an hour left
     * out unless a piece of work ended them.
     */
    public static double minutesOf(JobHistory history) {
        double minutes = 0;
        RecordedStep before = null;
        for (RecordedStep entry : history.counting()) {
            if (entry.step().standsForItself()) {
                continue;
            }
            if (before != null) {
                Duration gap = Duration.between(before.at(), entry.at());
                Duration most = entry.step() instanceof FindingWorked ? LONGEST_WORK : LONGEST_STEP;
                minutes += gap.isNegative() || gap.compareTo(most) > 0 ? 0 : gap.toSeconds() / 60.0;
            }
            before = entry;
        }
        return minutes;
    }

    /** How many pieces of work of this kind were timed. */
    public int timed(Decision decision) {
        return minutes.getOrDefault(decision, List.of()).size();
    }

    /** The middle one of them, to five minutes; nothing while fewer than {@value #ENOUGH} were timed. */
    public OptionalInt minutes(Decision decision) {
        List<Double> all =
                minutes.getOrDefault(decision, List.of()).stream().sorted().toList();
        if (all.size() < ENOUGH) {
            return OptionalInt.empty();
        }
        int half = all.size() / 2;
        double middle = all.size() % 2 == 1 ? all.get(half) : (all.get(half - 1) + all.get(half)) / 2;
        return OptionalInt.of((int) Math.max(ROUNDED_TO, ROUNDED_TO * Math.round(middle / ROUNDED_TO)));
    }
}
