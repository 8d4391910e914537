package escrel.web.job;

import escrel.core.service.Arrival;
import escrel.core.service.Corrected;
import escrel.core.service.Noted;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.workshop.OwnersMerged;
import escrel.core.workshop.Spellings;
import escrel.core.workshop.WatchName;
import escrel.core.workshop.WatchesMerged;
import escrel.web.answers.KeptMarkup;
import escrel.web.storage.AfterTransaction;
import escrel.web.storage.JobMapper;
import escrel.web.storage.StepJson;
import escrel.web.storage.WorkshopLogs;
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
    private final WorkshopLogs log;
    private final KeptMarkup markup;

    OwnersData(JobMapper jobs, Workshop workshop, KeptJobs kept, JobLines lines, WorkshopLogs log, KeptMarkup markup) {
        this.markup = markup;
        this.log = log;
        this.lines = lines;
        this.kept = kept;
        this.jobs = jobs;
        this.workshop = workshop;
    }

    /** The jobs of an owner, under every spelling that was said to be them. */
    @Transactional(readOnly = true)
    public List<OpenJob> of(String owner) {
        Spellings spellings = log.load().spellings();
        return spellings.ofOwner(owner).stream()
                .flatMap(spelt -> jobs.ofOwner(Workshop.shorten(spelt)).stream())
                .map(workshop::load)
                .filter(job -> spellings.owner(job.arrival().owner()).equals(spellings.owner(owner)))
                .toList();
    }

    /** Erases name and address in all jobs of an owner; returns how many those were. */
    @Transactional
    public int erase(String owner) {
        List<OpenJob> theirs = of(owner);
        AfterTransaction.run(markup::forget);
        List<String> spelt = log.load().spellings().ofOwner(owner);
        log.writeOver(act -> without(act, spelt));
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

    /** What was said of their spellings names them too. */
    private static Step without(Step act, List<String> spelt) {
        if (act instanceof OwnersMerged merged && (spelt.contains(merged.from()) || spelt.contains(merged.into()))) {
            // two words that differ and name nobody
            return new OwnersMerged(ERASED + ", spelt otherwise", ERASED);
        }
        if (act instanceof WatchesMerged merged) {
            WatchName from = without(merged.from(), spelt);
            WatchName into = without(merged.into(), spelt);
            return from.equals(into)
                    ? new WatchesMerged(new WatchName(from.watch() + ", called otherwise", from.owner()), into)
                    : new WatchesMerged(from, into);
        }
        return act;
    }

    private static WatchName without(WatchName name, List<String> spelt) {
        return spelt.contains(name.owner()) ? name.of(ERASED) : name;
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
