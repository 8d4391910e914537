package escrel.web.job;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.SchoolChart;
import escrel.core.cleaning.Washed;
import escrel.core.handover.Stage;
import escrel.core.learning.LearntSheet;
import escrel.core.school.Schools;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.JobHistory;
import escrel.core.teardown.TeardownState;
import escrel.core.timing.readings.ReadingSet;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A job as loaded.
 *
 * @param recorded what is on record, as it was recorded
 * @param history the same, with parts called by the codes of the sheet the job is bound to
 * @param sheet the sheet it is bound to; nothing while the calibre is unknown
 * @param schools that hold for this job
 * @param movement the movement as this job knows it: its sheet, what was learnt on the way, and the charts of the
 *     schools; without parts while nothing is known
 */
public record OpenJob(
        int number,
        OffsetDateTime openedAt,
        JobHistory recorded,
        JobHistory history,
        @Nullable CalibreSheet sheet,
        int sheetVersion,
        Schools schools,
        CalibreSheet movement) {
    /** The watch as it arrived, by the latest record. */
    public Arrival arrival() {
        return history.last(Arrival.class).orElseThrow(() -> new IllegalStateException("job without arrival"));
    }

    /** A job from what is on record, the sheet it is bound to and the schools that hold for it. */
    static OpenJob of(
            int number, OffsetDateTime openedAt, JobHistory recorded, @Nullable CalibreSheet sheet, Schools schools) {
        Optional<CalibreBound> bound = recorded.last(CalibreBound.class);
        JobHistory history = bound.map(recorded::inWordsOf).orElse(recorded);
        CalibreSheet movement = SchoolChart.of(LearntSheet.of(sheet, history), schools);
        int version = bound.map(CalibreBound::version).orElse(0);
        return new OpenJob(number, openedAt, recorded, history, sheet, version, schools, movement);
    }

    /** The movement as this job knows it; a job of an unknown calibre without a single part has none. */
    public CalibreSheet requireSheet() {
        if (sheet == null && movement.parts().isEmpty()) {
            throw new CalibreUnknownException(number);
        }
        return movement;
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
        Stage stage = Stage.of(known(), history);
        // of an unknown calibre nobody knows whether all is off: it is being stripped until something is washed
        boolean unwashed = history.last(Washed.class).isEmpty();
        return sheet == null && stage == Stage.INSPECTING && unwashed ? Stage.STRIPPING : stage;
    }

    private @Nullable CalibreSheet known() {
        return sheet == null && movement.parts().isEmpty() ? null : movement;
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
