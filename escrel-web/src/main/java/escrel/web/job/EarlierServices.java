package escrel.web.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.workshop.WatchName;
import escrel.web.storage.JobMapper;
import escrel.web.storage.JobRow;
import escrel.web.storage.WorkshopLogs;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Earlier services of a watch, and the readings with which each of them left it. */
@Component
public class EarlierServices {
    private static final int MOST = 5;
    private static final int KEPT = 2_000;

    private final JobMapper jobs;
    private final KeptJobs kept;
    private final WorkshopLogs log;
    /** Some kilobytes each, where the job they come from has hundreds. */
    private final Cache<Integer, Known> known =
            Caffeine.newBuilder().maximumSize(KEPT).executor(Runnable::run).build();

    EarlierServices(JobMapper jobs, KeptJobs kept, WorkshopLogs log) {
        this.jobs = jobs;
        this.kept = kept;
        this.log = log;
    }

    /**
     * The readings with which a service left the watch.
     *
     * @param job its number
     */
    public record Left(int job, ReadingSet readings) {}

    /** What a job had up to a step. */
    private record Known(int sequence, Optional<Left> left) {}

    /** Numbers of the earlier services of the same watch, newest first: under any of its names, and of the same calibre. */
    @Transactional(readOnly = true)
    public List<Integer> of(OpenJob job) {
        return rows(job).stream().map(JobRow::number).toList();
    }

    /** How those of them that have final readings left it. */
    @Transactional(readOnly = true)
    public List<Left> left(OpenJob job) {
        return rows(job).stream().flatMap(row -> left(row).stream()).toList();
    }

    private List<JobRow> rows(OpenJob job) {
        String calibre = job.sheet() == null ? null : job.sheet().id();
        return names(job).stream()
                .flatMap(n -> jobs.ofWatch(n.watch(), n.owner(), job.openedAt(), MOST).stream())
                .sorted(Comparator.comparing(JobRow::openedAt).reversed())
                .limit(MOST)
                .filter(row -> calibre == null || row.calibre() == null || calibre.equals(row.calibre()))
                .toList();
    }

    /** Steps are only ever added, an erasure's note too: as long as the last one is the same, so is what they say. */
    private Optional<Left> left(JobRow row) {
        Known last = known.getIfPresent(row.number());
        if (last != null && last.sequence() == row.lastSequence()) {
            return last.left();
        }
        Optional<Left> left = leftBy(kept.load(row));
        // what a transaction wrote may be rolled back, and another step take its number
        if (TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            known.put(row.number(), new Known(row.lastSequence(), left));
        }
        return left;
    }

    private static Optional<Left> leftBy(OpenJob job) {
        return job.readings().stream()
                .filter(s -> s.state().isFinal() && s.ran())
                .max(Comparator.comparing(ReadingSet::state))
                .flatMap(s -> ReadingSet.main(job.readings(), s.state()))
                .map(set -> new Left(job.number(), set));
    }

    /** Every name its watch goes by. */
    private List<WatchName> names(OpenJob job) {
        return log.load()
                .spellings()
                .ofWatch(new WatchName(
                        Workshop.shorten(job.arrival().watch()),
                        Workshop.shorten(job.arrival().owner())));
    }
}
