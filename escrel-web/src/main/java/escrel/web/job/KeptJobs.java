package escrel.web.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import escrel.core.calibre.CalibreSheet;
import escrel.core.job.Job;
import escrel.core.school.Schools;
import escrel.core.service.CalibreBound;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.watchcase.CaseBound;
import escrel.core.watchcase.CaseSheet;
import escrel.web.storage.AfterTransaction;
import escrel.web.storage.CaseSheets;
import escrel.web.storage.JobMapper;
import escrel.web.storage.JobRow;
import escrel.web.storage.Sheets;
import escrel.web.storage.StepJson;
import escrel.web.storage.StepRow;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Jobs as they were loaded last, with everything computed of them since: steps are only ever added, so a job that is asked
 * for again is read on from where it was, and computed anew only when something was added. What a transaction has written
 * is its own until it is committed. Bounded by what the jobs weigh.
 */
@Component
class KeptJobs {
    /** Characters of steps, and what is computed of them reckoned as such. */
    private static final long HEAVIEST = 48 << 20;
    /** A step as an object, and its share of what is computed of a job. */
    private static final int OF_A_STEP = 600;
    /** The movement as the job knows it, and the states of its parts. */
    private static final int OF_A_JOB = 120_000;

    /**
     * A job as it was loaded.
     *
     * @param weight in characters
     */
    private record Kept(OpenJob job, int weight) {
        int steps() {
            return job.recorded().lastSequence();
        }
    }

    private final JobMapper jobs;
    private final Sheets sheets;
    private final CaseSheets cases;
    private final Habits habits;
    private final Cache<Integer, Kept> shared = Caffeine.newBuilder()
            .maximumWeight(HEAVIEST)
            .<Integer, Kept>weigher((number, kept) -> kept.weight())
            .executor(Runnable::run)
            .build();
    /** How often something recorded was written over: what was read before is not kept after. */
    private final AtomicLong erasures = new AtomicLong();

    KeptJobs(JobMapper jobs, Sheets sheets, CaseSheets cases, Habits habits) {
        this.cases = cases;
        this.jobs = jobs;
        this.sheets = sheets;
        this.habits = habits;
    }

    /** A job with everything recorded of it up to now. */
    OpenJob load(JobRow row) {
        long before = erasures.get();
        Kept known = known(row.number());
        boolean upToDate = known != null && known.steps() == row.lastSequence();
        List<StepRow> later = upToDate ? List.of() : jobs.stepsAfter(row.number(), known == null ? 0 : known.steps());
        Kept now = known == null || !later.isEmpty() ? read(row, known, later) : known;
        now = new Kept(underPresentHabits(row, now.job()), now.weight());
        if (now != known) {
            keep(row.number(), now, before);
        }
        return now.job();
    }

    /**
     * A job from what is on record of it.
     *
     * @param before the job as it was known; what a step has not changed of it is not worked out again
     */
    OpenJob made(int number, OffsetDateTime openedAt, JobHistory recorded, @Nullable OpenJob before) {
        return new OpenJob(
                number,
                openedAt,
                Job.of(
                        recorded,
                        sheetOf(recorded),
                        caseOf(recorded),
                        schoolsOf(recorded),
                        before == null ? null : before.job()));
    }

    /** A job with what this transaction has just recorded of it: it need not be read again. */
    void recorded(OpenJob job, long characters) {
        Kept known = known(job.number());
        int added = job.recorded().lastSequence() - (known == null ? 0 : known.steps());
        long weight = (known == null ? OF_A_JOB : known.weight()) + characters + (long) OF_A_STEP * added;
        local().put(job.number(), new Kept(job, (int) Math.min(Integer.MAX_VALUE, weight)));
    }

    /** Something recorded of a job was written over: it is read anew, here at once and elsewhere when the transaction is over. */
    void forget(int number) {
        local().put(number, null);
        AfterTransaction.run(() -> {
            erasures.incrementAndGet();
            shared.invalidate(number);
        });
    }

    private Kept read(JobRow row, @Nullable Kept known, List<StepRow> later) {
        List<RecordedStep> added = new ArrayList<>();
        long weight = known == null ? OF_A_JOB : known.weight();
        for (StepRow step : later) {
            added.add(new RecordedStep(
                    step.sequence(), step.recordedAt().toInstant(), StepJson.read(step.kind(), step.body())));
            weight += OF_A_STEP + step.body().length();
        }
        return new Kept(
                made(
                        row.number(),
                        row.openedAt(),
                        known == null
                                ? JobHistory.of(added)
                                : known.job().recorded().and(added),
                        known == null ? null : known.job()),
                (int) Math.min(Integer.MAX_VALUE, weight));
    }

    /** Schools of workshop and calibre can change without a step of the job. */
    private OpenJob underPresentHabits(JobRow row, OpenJob job) {
        Schools schools = schoolsOf(job.recorded());
        return schools.equals(job.job().usualSchools()) ? job : made(row.number(), row.openedAt(), job.recorded(), job);
    }

    private Schools schoolsOf(JobHistory recorded) {
        return habits.of(
                recorded.last(CalibreBound.class).map(CalibreBound::calibre).orElse(null));
    }

    private @Nullable CalibreSheet sheetOf(JobHistory recorded) {
        return recorded.last(CalibreBound.class)
                .flatMap(b -> sheets.find(b.calibre(), b.version()))
                .orElse(null);
    }

    private @Nullable CaseSheet caseOf(JobHistory recorded) {
        return recorded.last(CaseBound.class)
                .flatMap(b -> cases.find(b.sheet(), b.version()))
                .orElse(null);
    }

    private @Nullable Kept known(int number) {
        if (writes() && local().containsKey(number)) {
            return local().get(number);
        }
        return shared.getIfPresent(number);
    }

    private void keep(int number, Kept now, long before) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            return;
        }
        if (writes()) {
            local().put(number, now);
        } else {
            share(number, now, before);
        }
    }

    private void share(int number, Kept now, long before) {
        shared.asMap().compute(number, (n, old) -> {
            boolean stale = erasures.get() != before || old != null && old.steps() > now.steps();
            return stale ? old : now;
        });
    }

    private static boolean writes() {
        return TransactionSynchronizationManager.isSynchronizationActive()
                && !TransactionSynchronizationManager.isCurrentTransactionReadOnly();
    }

    /** What this transaction read or wrote, nothing for what it erased; it becomes everybody's with the commit. */
    @SuppressWarnings("unchecked")
    private Map<Integer, @Nullable Kept> local() {
        Object bound = TransactionSynchronizationManager.getResource(this);
        if (bound != null) {
            return (Map<Integer, @Nullable Kept>) bound;
        }
        Map<Integer, @Nullable Kept> own = new HashMap<>();
        long before = erasures.get();
        TransactionSynchronizationManager.bindResource(this, own);
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                own.forEach((number, kept) -> {
                    if (kept != null) {
                        share(number, kept, before);
                    }
                });
            }

            @Override
            public void afterCompletion(int status) {
                TransactionSynchronizationManager.unbindResourceIfPossible(KeptJobs.this);
            }
        });
        return own;
    }
}
