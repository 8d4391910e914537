package escrel.core.job;

import escrel.core.cleaning.Washed;
import escrel.core.handover.HandedOver;
import escrel.core.handover.Stage;
import escrel.core.service.JobHistory;
import escrel.core.service.OpenedAgain;
import escrel.core.service.WorkAgreed;
import escrel.core.teardown.TeardownState;
import escrel.core.timing.comparison.ReadingsDue;

/** How far a job has come, of its present round. */
final class StageOf {
    private StageOf() {}

    static Stage job(Job job) {
        if (hasLeft(job.history())) {
            return Stage.HANDED_OVER;
        }
        boolean read = !job.readings().isEmpty();
        TeardownState teardown = job.teardown();
        boolean liftedAnything = teardown.order().stream()
                .anyMatch(p -> !job.movement().requirePart(p).isPowerDown());
        if (!liftedAnything) {
            return untouched(job, read);
        }
        boolean anyOn = teardown.onAgain().stream()
                .anyMatch(p -> !job.movement().requirePart(p).isPowerDown());
        if (teardown.isAnyOff() && anyOn) {
            return Stage.CLIMBING;
        }
        return teardown.isAnyOff() ? opened(job) : closed(job);
    }

    /** Whether the watch was handed over and has not come back since. */
    static boolean hasLeft(JobHistory history) {
        return history.lastAt(HandedOver.class, any -> true) > history.lastAt(OpenedAgain.class, any -> true);
    }

    /** Nothing came off in this round: either the job needs no teardown, or it is about to begin. */
    private static Stage untouched(Job job, boolean read) {
        if (job.lives().rounds().size() > 1 || job.lives().round().fresh()) {
            return Stage.STRIPPING;
        }
        WorkAgreed.Work work = job.agreed().map(WorkAgreed::work).orElse(null);
        if (work != null && work != WorkAgreed.Work.SERVICE) {
            boolean begun = read || work.isLeftAlone() || work == WorkAgreed.Work.CASE_WORK;
            return !begun ? Stage.ARRIVED : job.mayLeave() ? Stage.READY : Stage.ADJUSTING;
        }
        return read ? Stage.READ : Stage.ARRIVED;
    }

    private static Stage opened(Job job) {
        boolean firstRound = job.lives().rounds().size() == 1;
        boolean anythingWashed = job.history().last(Washed.class).isPresent();
        boolean bare = job.teardown().isBare();
        // of an unknown calibre nobody knows whether all is off: it is being stripped until something is washed
        boolean unknown = job.sheet() == null && firstRound && !anythingWashed;
        boolean washing = firstRound && anythingWashed;
        if ((!bare && !washing) || unknown) {
            return Stage.STRIPPING;
        }
        return job.cleaning().due().isEmpty() && job.findings().open().isEmpty() ? Stage.CLEAN : Stage.INSPECTING;
    }

    private static Stage closed(Job job) {
        boolean finalReading = job.history().ruleBook().asksForAll() || ReadingsDue.lastFinalAt(job.history()) > 0;
        boolean whole = job.wayUp().lines().isEmpty();
        return whole && finalReading && job.mayLeave() ? Stage.READY : Stage.ADJUSTING;
    }
}
