package escrel.web.job;

import escrel.core.service.Arrival;
import escrel.core.service.Corrected;
import escrel.core.service.Noted;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.web.storage.JobMapper;
import escrel.web.storage.StepJson;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * The personal part of what is kept: name and address of an owner. It is the one thing that is ever written over in what was
 * recorded, because the law may ask for it; the technical record stays, and says that something was erased.
 */
@Component
public class OwnersData {
    /** Stands in the place of a name. */
    public static final String ERASED = "erased on request";

    private final JobMapper jobs;
    private final Workshop workshop;
    private final KeptJobs kept;
    private final JobLines lines;

    OwnersData(JobMapper jobs, Workshop workshop, KeptJobs kept, JobLines lines) {
        this.lines = lines;
        this.kept = kept;
        this.jobs = jobs;
        this.workshop = workshop;
    }

    /** The jobs of an owner called so. */
    @Transactional(readOnly = true)
    public List<OpenJob> of(String owner) {
        return jobs.ofOwner(Workshop.shorten(owner)).stream()
                .map(workshop::load)
                .filter(job -> job.arrival().owner().equals(owner))
                .toList();
    }

    /** Erases name and address in all jobs of an owner; returns how many those were. */
    @Transactional
    public int erase(String owner) {
        List<OpenJob> theirs = of(owner);
        for (OpenJob job : theirs) {
            for (RecordedStep entry : job.recorded().recorded()) {
                Step erased = without(entry.step());
                if (erased != null) {
                    jobs.writeOver(job.number(), entry.sequence(), StepJson.write(erased));
                }
            }
            jobs.callOwner(job.number(), ERASED);
            kept.forget(job.number());
            workshop.append(
                    job.number(), job.sequence(), new Noted(null, "Name and address of the owner erased on request"));
            lines.wordsAnew(workshop.load(job.number()));
        }
        return theirs.size();
    }

    /** The step without name and address; nothing for one that has none. A correction from elsewhere may hold an arrival. */
    private static @Nullable Step without(Step step) {
        if (step instanceof Corrected corrected && corrected.step() instanceof Arrival arrival) {
            return new Corrected(corrected.sequence(), without(arrival));
        }
        return step instanceof Arrival arrival ? without(arrival) : null;
    }

    private static Arrival without(Arrival a) {
        return new Arrival(
                a.watch(), ERASED, "", a.maker(), a.reference(), a.complaint(), a.stance(), a.condition(), a.marks());
    }
}
