package escrel.web.job;

import escrel.core.calibre.CalibreSheet;
import escrel.core.handover.Stage;
import escrel.core.service.Arrival;
import escrel.core.service.JobHistory;
import escrel.core.teardown.TeardownState;
import escrel.core.timing.readings.ReadingSet;
import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A job as loaded.
 *
 * @param sheet nothing while the calibre is unknown
 */
public record OpenJob(
        int number,
        OffsetDateTime openedAt,
        JobHistory history,
        @Nullable CalibreSheet sheet,
        int sheetVersion) {
    /** The watch as it arrived, by the latest record. */
    public Arrival arrival() {
        return history.last(Arrival.class).orElseThrow(() -> new IllegalStateException("job without arrival"));
    }

    /** The sheet; a job without one cannot be stripped. */
    public CalibreSheet requireSheet() {
        if (sheet == null) {
            throw new CalibreUnknownException(number);
        }
        return sheet;
    }

    /** What is off and on. */
    public TeardownState teardown() {
        return TeardownState.of(requireSheet(), history);
    }

    /** The readings, state by state; those taken before the lift angle was known are worked out again for it. */
    public List<ReadingSet> readings() {
        List<ReadingSet> sets = ReadingSet.of(history);
        if (sheet == null || sheet.data().liftAngle().assumed()) {
            return sets;
        }
        return sets.stream().map(s -> s.underKnown(sheet.data().liftAngle())).toList();
    }

    /** How far the job has come. */
    public Stage stage() {
        return Stage.of(sheet, history);
    }

    /** Refuses when the page a step comes from was made before the job moved on. */
    public void requireSequence(int shown) {
        if (shown != sequence()) {
            throw new RecordedElsewhereException(number);
        }
    }

    /** What a page made from this state sends back with a step. */
    public int sequence() {
        return history.lastSequence();
    }
}
