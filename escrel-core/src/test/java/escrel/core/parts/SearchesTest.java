package escrel.core.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.groups.Tuple.tuple;

import escrel.core.Histories;
import escrel.core.Jobs;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.handover.Account;
import escrel.core.service.Happened;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.Tally;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Lost parts, fragments, screws and the tray: nothing may be left over. */
class SearchesTest {
    private static final Part JUMPER = Part.of("jumper", "Jumper", Group.CALENDAR, Side.DIAL);
    private static final Part BRIDGE = Part.of("bridge", "Bridge", Group.TRAIN, Side.TRAIN);
    private static final CalibreSheet SHEET = Calibres.of(List.of(JUMPER, BRIDGE), List.of())
            .with(
                    List.of(JUMPER, BRIDGE),
                    List.of(
                            screw("s1", "bridge", ScrewPlace.LengthClass.LONG, ScrewPlace.Thread.RIGHT),
                            screw("s2", "bridge", ScrewPlace.LengthClass.LONG, ScrewPlace.Thread.RIGHT),
                            screw("s3", "bridge", ScrewPlace.LengthClass.SHORT, ScrewPlace.Thread.LEFT)),
                    List.of());

    private static ScrewPlace screw(String code, String part, ScrewPlace.LengthClass length, ScrewPlace.Thread thread) {
        return new ScrewPlace(
                code, part, 1, 1, length, ScrewPlace.Head.FLAT, thread, 1.0, ScrewPlace.Home.ANY_OF_ITS_KIND, "");
    }

    private static Happened happened(Happened.What what) {
        return new Happened("jumper", what, "towards the window");
    }

    private static PartScrews screws(JobHistory history) {
        return Jobs.of(SHEET, history).screws().of("bridge");
    }

    private static Account searches(Step... steps) {
        return Jobs.of(SHEET, steps).accounts().stream()
                .filter(a -> a.kind() == Tally.Kind.SEARCHES)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void lostPartBlocksUntilItIsFound() {
        Step off = PartOff.plain("jumper");
        assertThat(searches(off, happened(Happened.What.LOST)).open())
                .singleElement()
                .satisfies(i -> assertThat(i.words()).contains("Jumper is lost"));
        assertThat(searches(off, happened(Happened.What.LOST), happened(Happened.What.FOUND_AGAIN)))
                .satisfies(a -> assertThat(a.balances()).isTrue());
        assertThat(Jobs.of(SHEET, off, happened(Happened.What.LOST), happened(Happened.What.FOUND_AGAIN))
                        .findings()
                        .open())
                .isEmpty();
    }

    @Test
    void lostPartIsNoLongerSearchedForOnceItsReplacementIsDecided() {
        JobHistory history = Histories.of(
                PartOff.plain("jumper"),
                happened(Happened.What.LOST),
                new Decided("2", Decision.MAKE, "bent from wire", "made here"),
                PartOn.plain("jumper"));

        assertThat(Jobs.of(SHEET, history).searches().isLost("jumper")).isFalse();
        assertThat(Jobs.of(SHEET, history).accounts())
                .filteredOn(a -> a.kind() == Tally.Kind.HOMES)
                .singleElement()
                .satisfies(a -> assertThat(a.settled()).contains("1 replaced").contains("0 supplied"));
    }

    @Test
    void damageOfThisServiceIsAFindingLikeAnyOther() {
        Findings findings = Jobs.of(
                        SHEET,
                        happened(Happened.What.DAMAGED_NOW),
                        happened(Happened.What.TAKEN_APART),
                        happened(Happened.What.FOUND_LOOSE))
                .findings();

        assertThat(findings.open()).hasSize(2).allMatch(f -> f.origin() == Origin.THIS_SERVICE);
        assertThat(findings.all().get(2).grade()).isEqualTo(Grade.WORN);
        assertThat(findings.all().get(2).words()).isEqualTo("lay loose: towards the window");
    }

    @Test
    void fragmentIsAnOpenQuestionUntilItIsExplained() {
        FragmentFound fragment = new FragmentFound("a brass crumb", "while at Jumper");

        assertThat(searches(fragment).open())
                .singleElement()
                .satisfies(i -> assertThat(i.words()).contains("brass crumb"));
        assertThat(searches(fragment, new FragmentExplained(1, "tooth of the crown wheel"))
                        .balances())
                .isTrue();
        assertThat(searches().settled()).isEqualTo("nothing lost, no fragment");
    }

    @Test
    void measuresLieWithinReason() {
        assertThat(new Gauged("jumper", Gauged.What.SPRING_WIDTH, 0.9).millimetres())
                .isEqualTo(0.9);
        assertThatThrownBy(() -> new Gauged("jumper", Gauged.What.SPRING_WIDTH, 0))
                .hasMessageContaining("SPRING_WIDTH");
    }

    @Test
    void screwsAreCountedByPlaceAndLength() {
        JobHistory history = Histories.of(new PartOff(
                "bridge",
                Grade.GOOD,
                ScrewsFound.of(ScrewsFound.State.MISSING, 1),
                PartOff.Plan.KEEP,
                "",
                "",
                2,
                null));
        assertThat(screws(history).kinds())
                .extracting(
                        PartScrews.Kind::length,
                        PartScrews.Kind::total,
                        PartScrews.Kind::out,
                        PartScrews.Kind::in,
                        PartScrews.Kind::missing)
                .containsExactly(
                        tuple(ScrewPlace.LengthClass.LONG, 2, 1, 0, 1),
                        tuple(ScrewPlace.LengthClass.SHORT, 1, 1, 0, 0));
        assertThat(screws(history).remark()).isEqualTo("2 came off, the sheet has 3");
        assertThat(screws(JobHistory.empty()).kinds()).allMatch(k -> k.out() == 0 && k.in() == k.total());
    }

    @Test
    void suppliedScrewIsReplacedAndNoLongerMissing() {
        JobHistory history = Histories.of(
                new PartOff(
                        "bridge", Grade.GOOD, ScrewsFound.of(ScrewsFound.State.MISSING, 1), PartOff.Plan.KEEP, "", ""),
                new Decided("1s", Decision.REPLACE_DONOR, "", "a donor movement"));

        assertThat(screws(history).kinds().get(0))
                .returns(1, PartScrews.Kind::replaced)
                .returns(2, PartScrews.Kind::out)
                .returns(0, PartScrews.Kind::missing);
    }
}
