package escrel.core.parts;

import static escrel.core.service.ScrewsFound.State.BROKEN;
import static escrel.core.service.ScrewsFound.State.FOREIGN;
import static escrel.core.service.ScrewsFound.State.LOOSE;
import static escrel.core.service.ScrewsFound.State.MISSING;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.Jobs;
import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.condition.Grade;
import escrel.core.job.Job;
import escrel.core.service.Eased;
import escrel.core.service.OpenItem;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RuleBook;
import escrel.core.service.ScrewsFound;
import escrel.core.service.ScrewsToCome;
import escrel.core.service.Step;
import escrel.core.service.Tally;
import escrel.core.service.Tightened;
import escrel.core.service.Visit;
import escrel.core.service.WorkAgreed;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Screws by the hole in which they live, over everything that can be said of them. Source: craft 2.7, M17. */
class ScrewAccountTest {
    private static final Part RING = Part.of("ring", "Casing ring", Group.CASE, Side.TRAIN);
    private static final Part DIAL = Part.of("dial", "Dial", Group.DIAL_AND_HANDS, Side.DIAL);
    private static final Part CROWN_WHEEL = Part.of("crown-wheel", "Crown wheel", Group.BARREL, Side.TRAIN);
    private static final List<Part> PARTS = List.of(RING, DIAL, CROWN_WHEEL);
    private static final CalibreSheet SHEET = Calibres.of(PARTS, List.of()).with(PARTS, screws(), List.of());

    private static List<ScrewPlace> screws() {
        List<ScrewPlace> all = new ArrayList<>();
        for (int i = 1; i <= 4; i++) {
            all.add(screw("ring-" + i, "ring", ScrewPlace.LengthClass.SHORT, ScrewPlace.Head.FLAT));
        }
        all.add(screw("dial-1", "dial", ScrewPlace.LengthClass.SHORT, ScrewPlace.Head.SIDE));
        all.add(screw("dial-2", "dial", ScrewPlace.LengthClass.SHORT, ScrewPlace.Head.SIDE));
        all.add(new ScrewPlace(
                "crown-1",
                "crown-wheel",
                1,
                1,
                ScrewPlace.LengthClass.LONG,
                ScrewPlace.Head.FLAT,
                ScrewPlace.Thread.LEFT,
                1.0,
                ScrewPlace.Home.OWN_HOLE,
                ""));
        all.add(screw("crown-2", "crown-wheel", ScrewPlace.LengthClass.SHORT, ScrewPlace.Head.FLAT));
        all.add(screw("crown-3", "crown-wheel", ScrewPlace.LengthClass.SHORT, ScrewPlace.Head.FLAT));
        return all;
    }

    private static ScrewPlace screw(String code, String part, ScrewPlace.LengthClass length, ScrewPlace.Head head) {
        return new ScrewPlace(
                code, part, 1, 1, length, head, ScrewPlace.Thread.RIGHT, 1.0, ScrewPlace.Home.ANY_OF_ITS_KIND, "");
    }

    private static PartOff off(String part, ScrewsFound screws) {
        return new PartOff(part, Grade.GOOD, screws, PartOff.Plan.KEEP, "", "");
    }

    private static Job job(Step... steps) {
        return Jobs.of(SHEET, steps);
    }

    private static Tally tally(Job job) {
        return job.screws().tally(job.history().ruleBook());
    }

    @Test
    void twoOfFourMissingAndTheRestLooseIsSaidTheSameEverywhere() {
        Job job = job(off("ring", ScrewsFound.of(MISSING, 2).and(LOOSE, 2)));
        PartScrews ring = job.screws().of("ring");

        assertThat(ring.words()).isEqualTo("2 short of 4, 2 missing");
        assertThat(ring.count(PartScrews.Where.OUT)).isEqualTo(2);
        assertThat(job.tray().compartments().get(0).screws()).hasSize(2);
        assertThat(job.tray().compartments().get(0).warnings())
                .containsExactly("Casing ring: 2 of its 4 screws missing", "Casing ring: 2 missing, 2 loose");
        assertThat(tally(job).open()).hasSize(2);
        assertThat(tally(job).settled()).isEqualTo("5 in their holes, 2 missing");
        assertThat(job.findings().open())
                .singleElement()
                .satisfies(f -> assertThat(f.words()).isEqualTo("2 screws missing"));
    }

    @Test
    void emptyHoleStaysEmptyOverALaterRoundUntilAnotherScrewIsSupplied() {
        Step[] twice = {
            off("ring", ScrewsFound.of(MISSING, 1)), PartOn.plain("ring"), off("ring", ScrewsFound.AS_ON_SHEET)
        };
        assertThat(job(twice).screws().of("ring").words()).isEqualTo("3 short of 4, 1 missing");

        Step[] supplied = {
            off("ring", ScrewsFound.of(MISSING, 1)),
            new Decided("1s", Decision.REPLACE_DONOR, "", "a donor"),
            PartOn.plain("ring"),
            off("ring", ScrewsFound.AS_ON_SHEET)
        };
        PartScrews ring = job(supplied).screws().of("ring");
        assertThat(ring.words()).isEqualTo("4 short");
        assertThat(ring.kinds().get(0).replaced()).isEqualTo(1);
    }

    @Test
    void missingOneOfItsKindIsCountedThere() {
        ScrewsFound leftHandGone = new ScrewsFound(
                false, List.of(new ScrewsFound.Odd(MISSING, 1, ScrewPlace.LengthClass.LONG, ScrewPlace.Thread.LEFT)));
        PartScrews crown = job(off("crown-wheel", leftHandGone)).screws().of("crown-wheel");

        assertThat(crown.words()).isEqualTo("2 short of 3, 1 missing");
        assertThat(crown.screws(PartScrews.Where.EMPTY))
                .extracting(ScrewPlace::code)
                .containsExactly("crown-1");
        assertThat(job().screws().of("crown-wheel").words()).isEqualTo("1 long left-hand, 2 short");
    }

    /** On, but not all its screws: they lie in the tray and are a line of the way up until they are driven. */
    @Test
    void screwsStillToComeLieInTheTrayUntilTheyAreIn() {
        Step[] tried = {PartOff.plain("ring"), PartOn.plain("ring"), new ScrewsToCome("ring", 3)};
        Job job = job(tried);

        assertThat(job.screws().of("ring").toDrive()).isEqualTo(3);
        assertThat(job.tray().compartments().get(0).parts()).isEmpty();
        assertThat(job.tray().compartments().get(0).screws()).hasSize(3);
        assertThat(tally(job).open()).hasSize(3).allMatch(i -> i.part().equals("ring"));
        assertThat(job.wayUp().lines())
                .extracting(AssemblyPlan.Line::name)
                .containsExactly("Casing ring: 3 screws to come");

        Job driven = job(tried[0], tried[1], tried[2], new Tightened("ring"));
        assertThat(tally(driven).open()).isEmpty();
        assertThat(driven.wayUp().lines()).isEmpty();
        // lifted again, all four are out, and none of them is still to come from before
        Job lifted = job(tried[0], tried[1], tried[2], PartOff.plain("ring"), PartOn.plain("ring"));
        assertThat(tally(lifted).open()).isEmpty();
        // said of a part that is off, it says nothing more
        assertThat(job(tried[0], new ScrewsToCome("ring", 3)).lives().screwsToCome())
                .isEmpty();
    }

    /** Of a part whose screws nobody counted, too; and noticed late, long after it went on. */
    @Test
    void screwsToComeOfAPartWithoutKnownHolesAreOwedToo() {
        CalibreSheet uncounted = Calibres.of(PARTS, List.of());
        Step[] late = {
            new WorkAgreed(WorkAgreed.Work.SERVICE, "", RuleBook.FIFTH),
            PartOff.plain("ring"),
            PartOn.plain("ring"),
            new ScrewsToCome("ring", 2)
        };
        Job job = Jobs.of(uncounted, late);
        assertThat(tally(job).open())
                .extracting(OpenItem::words)
                .containsExactly("Casing ring: 2 screws are not in yet");
        assertThat(job.wayUp().lines())
                .extracting(AssemblyPlan.Line::name)
                .containsExactly("Casing ring: 2 screws to come");
    }

    @Test
    void screwsToComeAreAtLeastOne() {
        assertThatThrownBy(() -> new ScrewsToCome("ring", 0)).hasMessageContaining("were 0");
        assertThatThrownBy(() -> new ScrewsToCome("ring", 21)).hasMessageContaining("were 21");
    }

    /** What was eased and not taken out is a line of the way up: it could be owed for ever otherwise. */
    @Test
    void whatWasEasedIsTightenedOnTheWayUp() {
        Step eased = new Eased("crown-wheel", Eased.Way.LOOSENED, 0.5);
        assertThat(job(eased).wayUp().lines())
                .extracting(AssemblyPlan.Line::name)
                .containsExactly("Crown wheel: tighten again");
        assertThat(job(eased, new Tightened("crown-wheel")).wayUp().lines()).isEmpty();
    }

    @Test
    void sideScrewsNeverLieInTheTrayAndAreDueToBeTightened() {
        Job job = job(PartOff.plain("dial"));

        assertThat(job.screws().out()).isZero();
        assertThat(job.tray().compartments().get(0).screws()).isEmpty();
        assertThat(tally(job).open())
                .extracting(OpenItem::words)
                .containsExactly(
                        "dial-1 of Dial (short side) is eased: tighten it again",
                        "dial-2 of Dial (short side) is eased: tighten it again");
        assertThat(tally(job(PartOff.plain("dial"), PartOn.plain("dial"))).balances())
                .isTrue();
    }

    @Test
    void brokenAndForeignOnesAreTwoFindingsWithKeysOfTheirOwn() {
        Job job = job(off("ring", ScrewsFound.of(BROKEN, 1).and(FOREIGN, 2).and(LOOSE, 1)));

        assertThat(job.findings().open())
                .extracting(Finding::key, Finding::words)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("1s", "2 screws are not of this calibre"),
                        org.assertj.core.groups.Tuple.tuple("1s-broken", "one screw broken"));
        assertThat(job.screws().of("ring").count(PartScrews.Where.EMPTY)).isEqualTo(1);
    }

    @Test
    void partInForAVisitHasItsScrewsWithItAndIsStillOpen() {
        Job job = job(PartOff.plain("ring"), new Visit("ring", Visit.Act.BEGIN, ""));

        assertThat(job.screws().out()).isZero();
        assertThat(tally(job).open()).hasSize(4);
    }

    @Test
    void moreMissingThanThereAreHolesLeavesNoneNotFewer() {
        assertThat(job(off("ring", ScrewsFound.of(MISSING, 9)))
                        .screws()
                        .of("ring")
                        .words())
                .isEqualTo("none of 4, 4 missing");
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> ScrewsFound.of(MISSING, 0)).hasMessageContaining("between 1 and 20");
        assertThatThrownBy(() -> ScrewsFound.of(MISSING, 1).and(MISSING, 1)).hasMessageContaining("said twice");
        assertThatThrownBy(() -> new ScrewsFound(true, ScrewsFound.of(LOOSE, 1).odd()))
                .hasMessageContaining("odd in nothing");
    }
}
