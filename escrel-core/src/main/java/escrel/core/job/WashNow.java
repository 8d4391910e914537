package escrel.core.job;

import escrel.core.cleaning.Soil;
import escrel.core.cleaning.WashPlan;
import escrel.core.parts.Finding;
import escrel.core.triage.Check;
import escrel.core.triage.Checked;
import java.util.List;

/**
 * What of a job is to be washed now. Only what this round found makes it dirty: what an earlier one cleaned dirties no bath again.
 *
 * @param baskets of what owes its rinse
 */
public record WashNow(Soil soil, List<WashPlan.Batch> baskets) {
    static WashNow of(Job job) {
        int since = job.lives().round().startsAt();
        List<Finding> found =
                job.findings().all().stream().filter(f -> f.raisedAt() > since).toList();
        Checked dry = job.triage().checks().get(Check.DRY_INSIDE);
        boolean wet = job.lives().rounds().size() == 1 && dry != null && dry.outcome() == Checked.Outcome.NO;
        Soil soil = Soil.of(found, wet);
        return new WashNow(soil, WashPlan.of(job.movement(), job.cleaning(), found, soil));
    }
}
