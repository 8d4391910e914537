package escrel.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.Histories;
import escrel.core.Jobs;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.condition.Grade;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.Finding;
import escrel.core.service.CalibreBound;
import escrel.core.service.Corrected;
import escrel.core.service.JobHistory;
import escrel.core.service.Noted;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Any step can be said otherwise later; everything is computed as if it had been recorded so. */
class CorrectionTest {
    private static final CalibreSheet SHEET = Calibres.of(
            List.of(
                    Part.of("wheel", "Third wheel", Group.TRAIN, Side.TRAIN),
                    Part.of("fourth", "Fourth wheel", Group.TRAIN, Side.TRAIN)),
            List.of());

    private static Job job(Step... steps) {
        return Jobs.of(SHEET, steps);
    }

    private static PartOff off(String part, Grade grade) {
        return new PartOff(part, grade, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "", "");
    }

    @Test
    void gradeCorrectedLaterRaisesItsFindingAtTheOldPlaceAndTime() {
        Job job = job(off("wheel", Grade.GOOD), PartOff.plain("fourth"), new Corrected(1, off("wheel", Grade.MEND)));

        assertThat(job.findings().open())
                .singleElement()
                .returns("1", Finding::key)
                .returns(1, Finding::raisedAt);
        assertThat(job.teardown().order()).containsExactly("wheel", "fourth");
        assertThat(job.history().recorded().get(0).step()).isEqualTo(off("wheel", Grade.GOOD));
    }

    @Test
    void decisionOnAFindingThatWasCorrectedStays() {
        Job job = job(
                off("wheel", Grade.MEND),
                new Decided("1", Decision.REPAIR, "straightened", ""),
                new Corrected(1, off("wheel", Grade.BROKEN)));

        assertThat(job.findings().byKey("1").orElseThrow())
                .returns(Grade.BROKEN, Finding::grade)
                .returns(true, f -> f.decision().isPresent());
    }

    @Test
    void lastCorrectionCountsAndTakenBackTheOneBeforeItDoes() {
        Step[] twice = {
            new Noted("wheel", "dry"),
            new Corrected(1, new Noted("wheel", "gummed")),
            new Corrected(1, new Noted("wheel", "rusty"))
        };
        assertThat(notes(job(twice))).containsExactly("rusty");

        Step[] back = {twice[0], twice[1], twice[2], new TakenBack(3)};
        assertThat(notes(job(back))).containsExactly("gummed");
        Step[] allBack = {twice[0], twice[1], twice[2], new TakenBack(3), new TakenBack(2)};
        assertThat(notes(job(allBack))).containsExactly("dry");
    }

    private static List<String> notes(Job job) {
        return job.history().all(Noted.class).map(Noted::words).toList();
    }

    @Test
    void stepTakenBackStaysSoWhateverItsCorrectionSays() {
        assertThat(notes(job(
                        new Noted("wheel", "dry"), new Corrected(1, new Noted("wheel", "gummed")), new TakenBack(1))))
                .isEmpty();
    }

    @Test
    void otherPartIsRefusedWhereALaterStepNeedsTheFirst() {
        Job job = job(PartOff.plain("wheel"), PartOn.plain("wheel"), PartOff.plain("fourth"));

        assertThat(Correction.firstImpossible(job, new Corrected(1, PartOff.plain("fourth"))))
                .hasValueSatisfying(e -> assertThat(e.step()).isEqualTo(PartOn.plain("wheel")));
        assertThat(Correction.firstImpossible(job, new Corrected(1, off("wheel", Grade.WORN))))
                .isEmpty();
        Job still = job(PartOff.plain("wheel"), PartOff.plain("fourth"));
        assertThat(Correction.firstImpossible(still, new Corrected(1, PartOff.plain("fourth"))))
                .map(RecordedStep::sequence)
                .hasValue(2);
    }

    @Test
    void correctionSpeaksInTheCodesOfItsOwnTime() {
        Map<String, String> sameAs = Map.of("unknown-wheel", "wheel");
        Job job = job(
                PartOff.plain("unknown-wheel"),
                new CalibreBound("cv-12", 1, "", CalibreBound.As.CALIBRE, sameAs),
                new Corrected(1, off("wheel", Grade.MEND)));

        assertThat(job.teardown().order()).containsExactly("wheel");
        assertThat(job.findings().open()).hasSize(1);
    }

    @Test
    void whatCorrectsNothingOrAnotherKindIsRefused() {
        assertThatThrownBy(() -> Histories.of(new Corrected(1, PartOff.plain("wheel"))))
                .hasMessageContaining("does not come before it");
        assertThatThrownBy(() -> Histories.of(PartOff.plain("wheel"), new Corrected(1, PartOn.plain("wheel"))))
                .hasMessageContaining("another kind");
        assertThatThrownBy(() -> new Corrected(2, new TakenBack(1))).hasMessageContaining("not corrected");
        assertThat(JobHistory.empty().counting()).isEmpty();
    }
}
