package escrel.core.teardown;

import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.RecordedStep;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * How long this workshop takes for each part of a calibre: the median over its services of the time between a part
 * coming off and the one before it. A gap of more than a quarter of an hour was something else (a meal, a telephone) and
 * does not count; nor do two parts within a second, which came away together.
 */
public final class StepTimes {
    /** No times yet. */
    public static final StepTimes NONE = new StepTimes(Map.of(), 0);

    private static final Duration LONGEST = Duration.ofMinutes(15);
    private static final Duration SHORTEST = Duration.ofSeconds(1);

    private final Map<String, Double> medians;
    private final int services;

    private StepTimes(Map<String, Double> medians, int services) {
        this.medians = Map.copyOf(medians);
        this.services = services;
    }

    /**
     * The times of several services of one calibre.
     *
     * @param services as {@link #ofService} gives them; those without a time teach nothing
     */
    public static StepTimes of(Collection<Map<String, List<Double>>> services) {
        Map<String, List<Double>> minutes = new HashMap<>();
        int timed = 0;
        for (Map<String, List<Double>> service : services) {
            timed += service.isEmpty() ? 0 : 1;
            service.forEach((part, own) ->
                    minutes.computeIfAbsent(part, k -> new ArrayList<>()).addAll(own));
        }
        Map<String, Double> medians = new HashMap<>();
        minutes.forEach((part, values) -> medians.put(part, median(values)));
        return new StepTimes(medians, timed);
    }

    /** Minutes each part took in one service, once for each time it came off; without those that do not count. */
    public static Map<String, List<Double>> ofService(JobHistory history) {
        Map<String, List<Double>> minutes = new LinkedHashMap<>();
        RecordedStep before = null;
        for (RecordedStep entry : history.counting()) {
            if (entry.step() instanceof PartOff off) {
                if (before != null) {
                    Duration gap = Duration.between(before.at(), entry.at());
                    if (gap.compareTo(SHORTEST) >= 0 && gap.compareTo(LONGEST) <= 0) {
                        minutes.computeIfAbsent(off.part(), k -> new ArrayList<>())
                                .add(gap.toMillis() / 60_000.0);
                    }
                }
                before = entry;
            }
        }
        return minutes;
    }

    private static double median(List<Double> values) {
        List<Double> sorted = values.stream().sorted().toList();
        int middle = sorted.size() / 2;
        return sorted.size() % 2 == 1 ? sorted.get(middle) : (sorted.get(middle - 1) + sorted.get(middle)) / 2;
    }

    /** Minutes for a part, or nothing when it was never timed. */
    public OptionalDouble minutes(String part) {
        Double median = medians.get(part);
        return median == null ? OptionalDouble.empty() : OptionalDouble.of(median);
    }

    /** From how many services the times come. */
    public int services() {
        return services;
    }
}
