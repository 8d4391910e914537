package escrel.web.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import escrel.core.condition.Defect;
import escrel.core.condition.Origin;
import escrel.core.learning.FoundBefore;
import escrel.core.learning.SeenOrders;
import escrel.core.parts.Finding;
import escrel.core.parts.FindingRaised;
import escrel.core.service.CalibreBound;
import escrel.core.service.Happened;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.Step;
import escrel.core.teardown.StepTimes;
import escrel.core.timing.comparison.Expectations;
import escrel.core.timing.readings.DidNotRun;
import escrel.core.timing.readings.Intervened;
import escrel.core.timing.readings.ReadingTaken;
import escrel.web.storage.AfterTransaction;
import escrel.web.storage.JobLineMapper;
import escrel.web.storage.JobLineMapper.LearntRow;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * What the services of a calibre teach: the order in which its parts came off, how long each took, what the final readings
 * showed. A row per job, written with its steps; the orders are counted once per calibre and moved on from then.
 */
@Component
public class Learnt {
    /** Kinds of step that teach; a binding says which calibre, and by which codes. */
    static final Set<Class<? extends Step>> FROM = Set.of(
            PartOff.class,
            ReadingTaken.class,
            DidNotRun.class,
            Intervened.class,
            OpenedAgain.class,
            FindingRaised.class,
            Happened.class,
            CalibreBound.class);

    private static final int LONGEST = 59_000;
    private static final int CALIBRES = 40;

    /** What was counted: of each job, as it was counted, in the words of its row so that ten thousand of them weigh little. */
    private static final class Counted {
        private final Map<Integer, String> taken = new HashMap<>();
        private final Map<Integer, String> wrong = new HashMap<>();
        private final SeenOrders.Counting orders = new SeenOrders.Counting();
        private final FoundBefore.Counting found = new FoundBefore.Counting();

        void count(int job, String nowTaken, String nowWrong) {
            // an order is told by two parts at least, and so is a service
            String told = nowTaken.contains("\n") ? nowTaken : "";
            String bad = told.isEmpty() ? "" : nowWrong;
            String before = Objects.requireNonNullElse(told.isEmpty() ? taken.remove(job) : taken.put(job, told), "");
            String badBefore = Objects.requireNonNullElse(bad.isEmpty() ? wrong.remove(job) : wrong.put(job, bad), "");
            if (before.equals(told) && badBefore.equals(bad)) {
                return;
            }
            if (!before.isEmpty()) {
                orders.remove(List.of(before.split("\n")));
                found.remove(serviceFrom(before, badBefore));
            }
            if (!told.isEmpty()) {
                orders.add(List.of(told.split("\n")));
                found.add(serviceFrom(told, bad));
            }
        }

        /** What all of them found but one. */
        FoundBefore foundBut(int job) {
            String own = taken.get(job);
            if (own == null) {
                return found.seen();
            }
            FoundBefore.Service service = serviceFrom(own, wrong.getOrDefault(job, ""));
            found.remove(service);
            FoundBefore others = found.seen();
            found.add(service);
            return others;
        }
    }

    /** The times of a calibre with the rows they were worked out from: as long as those are the same, so are they. */
    private record Timed(List<String> rows, StepTimes times) {
        static Timed of(List<String> rows) {
            return new Timed(
                    rows, StepTimes.of(rows.stream().map(Learnt::timesFrom).toList()));
        }
    }

    private final JobLineMapper mapper;
    private final Cache<String, Counted> counted =
            Caffeine.newBuilder().maximumSize(CALIBRES).executor(Runnable::run).build();
    private final Cache<String, Timed> timed =
            Caffeine.newBuilder().maximumSize(CALIBRES).executor(Runnable::run).build();

    Learnt(JobLineMapper mapper) {
        this.mapper = mapper;
    }

    /** In which order the parts of a calibre came off, over all its jobs. */
    public SeenOrders orders(String calibre) {
        SeenOrders[] seen = new SeenOrders[1];
        counted.asMap().compute(calibre, (c, known) -> {
            Counted now = known == null ? count(c) : known;
            seen[0] = now.orders.seen();
            return now;
        });
        return seen[0];
    }

    private Counted count(String calibre) {
        Counted all = new Counted();
        mapper.learntOf(calibre).forEach(row -> all.count(row.job(), row.taken(), row.found()));
        return all;
    }

    /** What was found on the parts of a job's calibre in its other services here; nothing while the calibre is unknown. */
    public FoundBefore foundBefore(OpenJob job) {
        FoundBefore[] seen = {new FoundBefore.Counting().seen()};
        if (job.sheet() != null) {
            counted.asMap().compute(job.sheet().id(), (c, known) -> {
                Counted now = known == null ? count(c) : known;
                seen[0] = now.foundBut(job.number());
                return now;
            });
        }
        return seen[0];
    }

    private static FoundBefore.Service serviceFrom(String taken, String wrong) {
        Map<String, Set<Defect>> found = new HashMap<>();
        for (String line : wrong.split("\n")) {
            int tab = line.indexOf('\t');
            if (tab > 0) {
                found.put(
                        line.substring(0, tab),
                        Arrays.stream(line.substring(tab + 1).split(" "))
                                .map(Defect::valueOf)
                                .collect(Collectors.toSet()));
            }
        }
        return new FoundBefore.Service(Set.copyOf(Arrays.asList(taken.split("\n"))), found);
    }

    /** What was wrong with its parts as they came, and so may be wrong with the next one's: nothing this service did itself. */
    private static String found(OpenJob job) {
        Map<String, Set<String>> found = new TreeMap<>();
        for (Finding finding : job.job().findings().all()) {
            boolean here = finding.part() != null
                    && finding.grade().needsDecision()
                    && finding.origin() != Origin.THIS_SERVICE;
            if (here) {
                found.computeIfAbsent(String.valueOf(finding.part()), k -> new TreeSet<>())
                        .add(finding.defect().name());
            }
        }
        return found.entrySet().stream()
                .map(e -> e.getKey() + "\t" + String.join(" ", e.getValue()))
                .collect(Collectors.joining("\n"));
    }

    /** What the newest services of a calibre but one job showed, as {@link Expectations#figuresOf} gives it. */
    public List<double[]> figures(String calibre, int except, int most) {
        return mapper.figures(calibre, except, most).stream()
                .map(text -> Arrays.stream(text.split(" "))
                        .mapToDouble(Double::parseDouble)
                        .toArray())
                .toList();
    }

    /** How long each part of a calibre took in its newest services. */
    public StepTimes times(String calibre, int most) {
        List<String> rows = mapper.times(calibre, most);
        return timed.asMap()
                .compute(calibre, (c, known) -> known != null && known.rows().equals(rows) ? known : Timed.of(rows))
                .times();
    }

    void write(OpenJob job) {
        LearntRow row = row(job);
        mapper.learn(row);
        AfterTransaction.ifCommitted(() -> moveOn(job, row));
    }

    void add(OpenJob job) {
        LearntRow row = row(job);
        mapper.insertLearnt(row);
        AfterTransaction.ifCommitted(() -> moveOn(job, row));
    }

    void forget() {
        counted.invalidateAll();
    }

    private void moveOn(OpenJob job, LearntRow row) {
        String calibre = job.sheet() == null ? "" : job.sheet().id();
        for (String known : List.copyOf(counted.asMap().keySet())) {
            counted.asMap().computeIfPresent(known, (c, all) -> {
                // it may have been another calibre's before
                boolean its = c.equals(calibre);
                all.count(job.number(), its ? row.taken() : "", its ? row.found() : "");
                return all;
            });
        }
    }

    private static LearntRow row(OpenJob job) {
        List<String> codes =
                job.history().all(PartOff.class).map(PartOff::part).distinct().toList();
        String times = StepTimes.ofService(job.history()).entrySet().stream()
                .map(e -> e.getKey() + "\t"
                        + e.getValue().stream()
                                .map(m -> String.format(Locale.ROOT, "%.4f", m))
                                .collect(Collectors.joining(" ")))
                .collect(Collectors.joining("\n"));
        return new LearntRow(
                job.number(),
                shortened(String.join("\n", codes)),
                shortened(times),
                figures(job),
                shortened(found(job)));
    }

    private static String figures(OpenJob job) {
        return Expectations.ofService(job.history())
                .map(set -> Arrays.stream(Expectations.figuresOf(set))
                        .mapToObj(Double::toString)
                        .collect(Collectors.joining(" ")))
                .orElse("");
    }

    /** Whole lines as long as they fit; nobody takes that many parts off. */
    private static String shortened(String lines) {
        return lines.length() <= LONGEST ? lines : lines.substring(0, lines.lastIndexOf('\n', LONGEST));
    }

    private static Map<String, List<Double>> timesFrom(String text) {
        Map<String, List<Double>> times = new LinkedHashMap<>();
        for (String line : text.split("\n")) {
            int tab = line.indexOf('\t');
            times.put(
                    line.substring(0, tab),
                    Arrays.stream(line.substring(tab + 1).split(" "))
                            .map(Double::valueOf)
                            .toList());
        }
        return times;
    }
}
