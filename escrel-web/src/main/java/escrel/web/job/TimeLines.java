package escrel.web.job;

import escrel.core.decision.BenchTimes;
import escrel.core.handover.Stage;
import escrel.core.owner.EstimateBasis;
import escrel.core.parts.Decision;
import escrel.core.service.PartOff;
import escrel.core.supply.Want;
import escrel.web.storage.TimeMapper;
import escrel.web.storage.TimeMapper.TimeRow;
import escrel.web.storage.TimeMapper.WayRow;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** How long services and pieces of work took, kept for what is estimated next. */
@Component
public class TimeLines {
    private static final int SERVICES = 40;
    private static final int OF_A_KIND = 40;

    private final TimeMapper mapper;

    TimeLines(TimeMapper mapper) {
        this.mapper = mapper;
    }

    /** The newest services of a calibre but one job, as long as they took. */
    public List<EstimateBasis.Past> services(String calibre, int except) {
        return mapper.services(calibre, except, SERVICES).stream()
                .map(t -> new EstimateBasis.Past(t.minutes(), t.parts()))
                .toList();
    }

    /** How long each way of dealing with a finding took here. */
    public BenchTimes ways() {
        List<String> kinds = Arrays.stream(Decision.values()).map(Enum::name).toList();
        return BenchTimes.of(mapper.ways(kinds, OF_A_KIND).stream()
                .map(w -> new BenchTimes.Worked(w.at(), Decision.valueOf(w.decision()), w.minutes()))
                .toList());
    }

    /** Writes the difference between what stood before and what stands now. */
    void write(OpenJob before, OpenJob job) {
        TimeRow now = time(job);
        if (!Objects.equals(time(before), now)) {
            put(job.number(), now);
        }
        Set<WayRow> old = new HashSet<>(ways(before));
        List<WayRow> ways = ways(job);
        ways.stream().filter(w -> !old.contains(w)).forEach(mapper::putWay);
        ways.forEach(old::remove);
        Set<Integer> kept = new HashSet<>();
        ways.forEach(w -> kept.add(w.at()));
        old.stream().filter(w -> !kept.contains(w.at())).forEach(w -> mapper.dropWay(w.job(), w.at()));
    }

    private void put(int job, @Nullable TimeRow row) {
        if (row == null) {
            mapper.dropTime(job);
        } else {
            mapper.putTime(row);
        }
    }

    /** All of a job that has none. */
    void add(OpenJob job) {
        put(job.number(), time(job));
        mapper.dropWaysOf(job.number());
        ways(job).forEach(mapper::putWay);
    }

    void clear() {
        mapper.clearTimes();
        mapper.clearWays();
    }

    /** Only a service that is over says how long one takes, and only one that took something apart. */
    private static @Nullable TimeRow time(OpenJob job) {
        boolean service = job.stage() == Stage.HANDED_OVER
                && job.history().all(PartOff.class).findAny().isPresent();
        return service ? new TimeRow(job.number(), Math.rint(BenchTimes.minutesOf(job.history())), prices(job)) : null;
    }

    /** What the parts of a watch cost, as far as it was said and not called off. */
    public static double prices(OpenJob job) {
        return job.job().supply().wants().stream()
                .filter(w -> w.state() != Want.State.CALLED_OFF)
                .map(Want::price)
                .filter(Objects::nonNull)
                .mapToDouble(p -> p)
                .sum();
    }

    private static List<WayRow> ways(OpenJob job) {
        return BenchTimes.ofJob(job.history()).stream()
                .map(w -> new WayRow(job.number(), w.at(), w.decision().name(), w.minutes()))
                .toList();
    }
}
