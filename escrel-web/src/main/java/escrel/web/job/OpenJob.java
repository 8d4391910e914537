package escrel.web.job;

import escrel.core.calibre.CalibreSheet;
import escrel.core.handover.Stage;
import escrel.core.job.Job;
import escrel.core.school.Schools;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.JobHistory;
import escrel.core.teardown.TeardownState;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.watchcase.CaseBound;
import escrel.core.watchcase.CaseSheet;
import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A job as loaded: its number, when it was opened, and the {@link Job} that core makes of its steps.
 *
 * @param job everything that is computed of it
 */
public record OpenJob(int number, OffsetDateTime openedAt, Job job) {
    /** The watch as it arrived, by the latest record. */
    public Arrival arrival() {
        return history().last(Arrival.class).orElseThrow(() -> new IllegalStateException("job without arrival"));
    }

    /** What is on record, as it was recorded. */
    public JobHistory recorded() {
        return job.recorded();
    }

    /** What is on record, with parts called by the codes in use now. */
    public JobHistory history() {
        return job.history();
    }

    /** The sheet it is bound to; nothing while the calibre is unknown. */
    public @Nullable CalibreSheet sheet() {
        return job.sheet();
    }

    /** Version of that sheet, 0 while the calibre is unknown. */
    public int sheetVersion() {
        return recorded().last(CalibreBound.class).map(CalibreBound::version).orElse(0);
    }

    /** The sheet of its watch's case; nothing while that is unknown. */
    public @Nullable CaseSheet caseSheet() {
        return job.caseSheet();
    }

    /** Version of that sheet, 0 while the case is unknown. */
    public int caseVersion() {
        return recorded().last(CaseBound.class).map(CaseBound::version).orElse(0);
    }

    /** The schools that hold for this job. */
    public Schools schools() {
        return job.schools();
    }

    /** The movement as this job knows it; without parts while nothing is known. */
    public CalibreSheet movement() {
        return job.movement();
    }

    /** The movement as this job knows it; a job of an unknown calibre without a single part has none. */
    public CalibreSheet requireSheet() {
        if (sheet() == null && movement().parts().isEmpty()) {
            throw new CalibreUnknownException(number);
        }
        return movement();
    }

    /** What is off and on in the present round. */
    public TeardownState teardown() {
        requireSheet();
        return job.teardown();
    }

    /** The sets of readings. */
    public List<ReadingSet> readings() {
        return job.readings();
    }

    /** How far the job has come. */
    public Stage stage() {
        return job.stage();
    }

    /** Refuses when the page a step comes from was made before the job moved on; photos and notes move nothing on. */
    public void requireSequence(int shown) {
        if (shown != sequence() && !recorded().onlyAddedTo(shown)) {
            throw new RecordedElsewhereException(number);
        }
    }

    /** What a page made from this state sends back with a step. */
    public int sequence() {
        return history().lastSequence();
    }
}
