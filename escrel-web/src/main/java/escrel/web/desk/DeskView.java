package escrel.web.desk;

import escrel.core.calibre.WatchClass;
import escrel.core.timing.readings.Chronograph;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Handlings;
import escrel.core.timing.readings.Occasion;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.Wound;
import escrel.web.format.Show;
import escrel.web.job.OpenJob;
import escrel.web.sound.Analysis;
import escrel.web.sound.OccasionForm;
import java.util.Arrays;
import java.util.List;

/**
 * The desk as it stands when it is opened.
 *
 * @param rows one for each position, in the order of fewest turns
 * @param pocket whether the crown is a pendant at 12
 */
record DeskView(
        Occasion occasion,
        List<Row> rows,
        boolean pocket,
        boolean chronographThere,
        String liftAngle,
        List<ReadingState> states,
        List<Fitted> fittings,
        List<Wound> windings,
        List<Chronograph> chronographs) {
    /** A position with what was read in it. */
    record Row(Position position, DeskController.Row read) {}

    static DeskView of(OpenJob job, OccasionForm form) {
        List<ReadingSet> sets = job.readings();
        OccasionForm asked = form.state() != null || sets.isEmpty() ? form : likeLast(sets);
        Occasion occasion = asked.proposed().occasion();
        ReadingSet set = sets.stream()
                .filter(s ->
                        s.occasion().filter(o -> o.compareTo(occasion) == 0).isPresent())
                .reduce((earlier, later) -> later)
                .filter(s -> !job.job().isPast(s))
                .orElse(null);
        boolean pocket = job.sheet() != null && job.sheet().data().watchClass() == WatchClass.POCKET;
        return new DeskView(
                occasion,
                Handlings.order(List.of(Position.values())).stream()
                        .map(p -> new Row(
                                p,
                                DeskController.row(
                                        set == null ? null : set.in(p).orElse(null), "")))
                        .toList(),
                pocket,
                job.sheet() != null && job.sheet().data().watchClass() == WatchClass.CHRONOGRAPH,
                new Show().liftAngle(Analysis.liftAngle(job.sheet())),
                Arrays.asList(ReadingState.values()),
                Arrays.asList(Fitted.values()),
                Arrays.asList(Wound.values()),
                Arrays.asList(Chronograph.values()));
    }

    /** Where nothing is asked for, the desk goes on where the last readings were taken. */
    private static OccasionForm likeLast(List<ReadingSet> sets) {
        ReadingSet last = sets.get(sets.size() - 1);
        return last.occasion()
                .map(OccasionForm::of)
                .orElseGet(() -> new OccasionForm(last.state(), null, null, null, null, null));
    }
}
