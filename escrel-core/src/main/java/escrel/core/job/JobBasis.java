package escrel.core.job;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.VariantSheet;
import escrel.core.handover.HandedOver;
import escrel.core.learning.LearntSheet;
import escrel.core.order.Rules;
import escrel.core.school.Schools;
import escrel.core.service.CalibreBound;
import escrel.core.service.JobHistory;
import escrel.core.service.SchoolChosen;
import escrel.core.service.SchoolSetAside;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.KnownLift;
import escrel.core.watchcase.CaseOfJob;
import escrel.core.watchcase.CaseSheet;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What every state of a job is worked out from: what is on record, the movement as the job knows it, the schools that hold. */
abstract sealed class JobBasis permits Job {
    private final JobHistory recorded;
    private final JobHistory history;
    private final @Nullable CalibreSheet bound;
    private final @Nullable CaseSheet watchcase;
    private final Schools usual;
    private final Schools habits;
    private final Schools schools;
    private final KnownMovement known;

    JobBasis(
            JobHistory recorded,
            @Nullable CalibreSheet bound,
            @Nullable CaseSheet watchcase,
            Schools usual,
            @Nullable JobBasis before) {
        this.recorded = recorded;
        this.history = bound == null
                ? recorded.inPresentCodes()
                : KnownLift.in(recorded.inPresentCodes(), bound.data().liftAngle());
        this.bound = bound;
        this.usual = usual;
        this.habits = habits(usual, history);
        this.schools = ofJob(habits, history);
        this.watchcase = watchcase;
        CalibreSheet sheet = bound == null ? LearntSheet.unknown() : asBound(bound);
        this.known = KnownMovement.of(
                new KnownMovement.From(
                        CaseOfJob.around(sheet, watchcase, history, this::codesOfSteps),
                        LearntSheet.Said.in(history, bound == null),
                        schools),
                before == null ? null : before.known);
    }

    private CalibreSheet asBound(CalibreSheet sheet) {
        String variant =
                history.last(CalibreBound.class).map(CalibreBound::variant).orElse("");
        return variant.isEmpty() ? sheet : VariantSheet.of(sheet, variant, codesOfSteps());
    }

    private Set<String> codesOfSteps() {
        Set<String> codes = new HashSet<>();
        history.counting().forEach(entry -> codes.addAll(StepRegister.partsOf(entry.step())));
        return codes;
    }

    /** A watch that has left stays as it was closed: habits the workshop takes up later ask nothing of it. */
    private static Schools habits(Schools usual, JobHistory history) {
        return StageOf.hasLeft(history)
                ? history.last(HandedOver.class).orElseThrow().closedUnder(usual)
                : usual;
    }

    private static Schools ofJob(Schools usual, JobHistory history) {
        Schools schools = usual;
        for (var entry : history.counting(SchoolChosen.class, SchoolSetAside.class)) {
            if (entry.step() instanceof SchoolChosen chosen) {
                schools = schools.with(chosen.choice());
            } else if (entry.step() instanceof SchoolSetAside aside) {
                schools = schools.without(aside.school());
            }
        }
        return schools;
    }

    /** What is on record, as it was recorded. */
    public JobHistory recorded() {
        return recorded;
    }

    /** What is on record, with parts called by the codes in use now and amplitudes worked out for the known lift angle. */
    public JobHistory history() {
        return history;
    }

    /** The sheet it is bound to; nothing while the calibre is unknown. */
    public @Nullable CalibreSheet sheet() {
        return bound;
    }

    /** The sheet of the watch's case; nothing while that is unknown. */
    public @Nullable CaseSheet caseSheet() {
        return watchcase;
    }

    /** The case as this job knows it: its sheet, and what was said of it; nothing where neither speaks. */
    public Optional<CaseSheet> watchcase() {
        return CaseOfJob.of(watchcase, history);
    }

    /** The movement as this job knows it, in its case: its sheet, what was learnt on the way, the charts of the schools. */
    public CalibreSheet movement() {
        return known.sheet();
    }

    /** The rules of the way down. */
    public Rules down() {
        return known.down();
    }

    /** The rules of the way up. */
    public Rules up() {
        return known.up();
    }

    /** The schools of the workshop and the calibre today, without what the job itself chose. */
    public Schools usualSchools() {
        return usual;
    }

    /** The schools of workshop and calibre it is read by: of the day the watch left where it has, of today otherwise. */
    public Schools habits() {
        return habits;
    }

    /** The schools that hold. */
    public Schools schools() {
        return schools;
    }

    /** What was agreed, if it was asked. */
    public Optional<WorkAgreed> agreed() {
        return history.last(WorkAgreed.class);
    }
}
