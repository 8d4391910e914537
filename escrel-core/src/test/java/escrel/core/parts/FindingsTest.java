package escrel.core.parts;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Histories;
import escrel.core.Jobs;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.core.service.TakenBack;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class FindingsTest {
    private static final CalibreSheet SHEET =
            Calibres.of(List.of(Part.of("wheel", "Third wheel", Group.TRAIN, Side.TRAIN)), List.of());

    private static Findings findings(JobHistory history) {
        return Jobs.of(SHEET, history).findings();
    }

    private static PartOff off(Grade grade, ScrewsFound screws, PartOff.Plan plan) {
        return new PartOff("wheel", grade, screws, plan, "scored", "");
    }

    @ParameterizedTest
    @CsvSource({"AS_NEW, 0", "GOOD, 0", "WORN, 0", "MEND, 1", "BROKEN, 1", "MISSING, 1", "NOT_JUDGED, 0"})
    void gradeThreeAndWorseRaisesAFinding(Grade grade, int findings) {
        assertThat(findings(Histories.of(off(grade, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP)))
                        .open())
                .hasSize(findings);
    }

    @Test
    void replaceKeyRaisesOneWhateverTheGrade() {
        assertThat(findings(Histories.of(off(Grade.GOOD, ScrewsFound.AS_ON_SHEET, PartOff.Plan.REPLACE)))
                        .open())
                .singleElement()
                .satisfies(f -> assertThat(f.words()).isEqualTo("to be replaced: scored"));
    }

    @ParameterizedTest
    @EnumSource(
            value = ScrewsFound.State.class,
            names = {"MISSING", "FOREIGN", "BROKEN", "DAMAGED"})
    void everyScrewThatIsNotRightRaisesOneOfItsOwn(ScrewsFound.State how) {
        assertThat(findings(Histories.of(off(Grade.GOOD, ScrewsFound.of(how, 1), PartOff.Plan.KEEP)))
                        .open())
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.isWithinPart()).isTrue();
                    assertThat(f.words()).contains("screw");
                });
    }

    @Test
    void laterDecisionTakesThePlaceOfAnEarlierOne() {
        Findings findings = findings(Histories.of(
                new FindingRaised("wheel", Grade.MEND, Defect.BENT, Origin.WEAR, "bent tooth"),
                new Decided("1", Decision.REPAIR, "straightened", ""),
                new Decided("1", Decision.REPLACE_NEW, "it broke", "drawer")));

        assertThat(findings.byKey("1").orElseThrow().decision().orElseThrow().decision())
                .isEqualTo(Decision.REPLACE_NEW);
        assertThat(findings.open()).isEmpty();
    }

    @Test
    void screwReplacedDoesNotMakeThePartReplaced() {
        Findings findings = findings(Histories.of(
                off(Grade.GOOD, ScrewsFound.of(ScrewsFound.State.FOREIGN, 1), PartOff.Plan.KEEP),
                new Decided("1s", Decision.REPLACE_DONOR, "", "donor")));

        assertThat(findings.open()).isEmpty();
        assertThat(findings.copies().now("wheel"))
                .hasValueSatisfying(c -> assertThat(c.isBroughtIn()).isFalse());
    }

    @Test
    void stepTakenBackTakesItsFindingAlong() {
        assertThat(findings(Histories.of(
                                off(Grade.BROKEN, ScrewsFound.of(ScrewsFound.State.MISSING, 1), PartOff.Plan.KEEP),
                                new TakenBack(1)))
                        .all())
                .isEmpty();
    }

    @Test
    void onlyWhatMendsNothingNeedsAReason() {
        assertThat(Decision.LEAVE_BY_AGREEMENT.needsReason()).isTrue();
        assertThat(Decision.INTERIM.needsReason()).isTrue();
        assertThat(Decision.REPAIR.needsReason()).isFalse();
        assertThat(Decision.MAKE.replaces()).isTrue();
        assertThat(Decision.SEND_OUT.replaces()).isFalse();
    }
}
