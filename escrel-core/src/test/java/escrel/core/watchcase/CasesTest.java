package escrel.core.watchcase;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.calibre.Trait;
import escrel.core.job.Job;
import escrel.core.learning.HoldStated;
import escrel.core.learning.PartDescribed;
import escrel.core.learning.PartNamed;
import escrel.core.order.Constraint;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.watchcase.CasePart.Face;
import escrel.core.watchcase.CasePart.Inside;
import escrel.core.watchcase.CasePart.Kind;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class CasesTest {
    private static final CalibreSheet MOVEMENT = new CalibreSheet(
            "any-1",
            "Any one",
            new CalibreData(25, 18_000.0, 50.0, 17, CalibreData.Setting.SHOCK, CalibreData.Stud.FIXED, null, ""),
            null,
            List.of(
                    Part.of("stem", "Stem", Group.CASE, Side.TRAIN).withRole(Role.STEM),
                    Part.of("hands", "Hands", Group.DIAL_AND_HANDS, Side.DIAL).withRole(Role.HANDS),
                    Part.of("dial", "Dial", Group.DIAL_AND_HANDS, Side.DIAL).withRole(Role.DIAL),
                    Part.of("bridge", "Train bridge", Group.TRAIN, Side.TRAIN)),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            null,
            List.of());

    private static CasePart part(Kind kind, String code) {
        return CasePart.of(kind, code, "");
    }

    private static CaseSheet back(CasePart... more) {
        List<CasePart> parts = new ArrayList<>(List.of(part(Kind.BACK, "case-back"), part(Kind.CRYSTAL, "crystal")));
        parts.addAll(List.of(more));
        return new CaseSheet("x-1", "X", "1", Opens.BACK, List.of(), parts, List.of(), List.of(), List.of());
    }

    private static JobHistory steps(Step... steps) {
        List<RecordedStep> all = new ArrayList<>();
        for (Step step : steps) {
            all.add(new RecordedStep(all.size() + 1, Instant.EPOCH.plusSeconds(all.size()), step));
        }
        return JobHistory.of(all);
    }

    private static Job job(@Nullable CaseSheet watchcase, Step... steps) {
        return Job.of(steps(steps), MOVEMENT, watchcase, Schools.DEFAULT);
    }

    private static List<String> way(Job job) {
        return job.wayDown().remaining().stream().map(Part::code).toList();
    }

    @Test
    void aMovementWithoutAWordOfItsCaseSitsInAPlainOne() {
        assertThat(way(job(null))).containsExactly("case-back", "stem", "watchcase", "hands", "dial", "bridge");
    }

    @Test
    void whatWasSaidOfTheCaseGoesBeforeItsSheetAndCanBeTakenAway() {
        CaseSheet sheet = back().withCrowns(List.of(new CaseSheet.Crown("at 3", false)));
        CaseSaid yes = new CaseSaid(CaseSaid.Fact.SCREW_DOWN_CROWN, CaseSaid.YES);
        CaseSaid away = new CaseSaid(CaseSaid.Fact.SCREW_DOWN_CROWN, CaseSaid.NOT_SAID);

        assertThat(job(sheet, yes).movement().requirePart("stem").stateBefore()).contains("unscrewed");
        assertThat(job(sheet, yes, away).movement().requirePart("stem").stateBefore())
                .isEmpty();
        // nobody said: that is said
        assertThat(job(back()).movement().requirePart("stem").note()).contains("Nobody said whether this crown");
    }

    @Test
    void saidToOpenAtTheFrontTheOrderTurnsRound() {
        CaseSaid front = new CaseSaid(CaseSaid.Fact.OPENS, Opens.FRONT.name());

        assertThat(way(job(null, front))).containsSubsequence("bezel", "stem", "watchcase", "bridge");
        assertThat(way(job(null, front))).doesNotContain("case-back");
        assertThat(way(job(back(), front)))
                .containsSubsequence("crystal", "watchcase")
                .doesNotContain("case-back");
        // a sheet without anything at the front cannot open there: it stays as it is
        CaseSheet closed = new CaseSheet(
                "x-2",
                "X",
                "2",
                Opens.BACK,
                List.of(),
                List.of(part(Kind.BACK, "case-back")),
                List.of(),
                List.of(),
                List.of());
        assertThat(way(job(closed, front))).contains("case-back");
    }

    @Test
    void aSheetOfEarlierVersionsKeepsItsOwnCaseUntilAnotherTakesItsPlace() {
        List<Part> parts = new ArrayList<>(MOVEMENT.parts());
        parts.add(0, Part.of("case-back", "Old back", Group.CASE, Side.TRAIN).withRole(Role.CASE_BACK));
        parts.add(1, Part.of("clip", "Clip of the case", Group.CASE, Side.TRAIN));
        parts.add(2, Part.of("watchcase", "Case off", Group.CASE, Side.TRAIN));
        CalibreSheet old = MOVEMENT.with(
                parts,
                List.of(),
                List.of(
                        new Hold("stem", "case-back", "inside", Hold.Basis.STATED),
                        new Hold("watchcase", "stem", "through it", Hold.Basis.STATED)));

        assertThat(Job.of(JobHistory.empty(), old, Schools.DEFAULT).movement()).isEqualTo(old);
        CalibreSheet joined =
                Job.of(JobHistory.empty(), old, back(), Schools.DEFAULT).movement();
        assertThat(joined.requirePart("case-back").name()).isEqualTo("Case back");
        assertThat(joined.part("clip")).isEmpty();
        // a part that steps speak of stays where they name it
        Job touched = Job.of(steps(PartOff.plain("clip")), old, back(), Schools.DEFAULT);
        assertThat(touched.lives().isOff("clip")).isTrue();
    }

    /** Of an unknown movement in a known case the stem has its name late: the movement still leaves after it. */
    @Test
    void aStemNamedOnTheBenchPassesThroughTheKnownCase() {
        PartNamed stem = new PartNamed("winder", "Stem", Group.CASE, Side.TRAIN, Role.STEM, List.of(), null);
        Job unknown = Job.of(steps(PartOff.plain("case-back")), null, back(), Schools.DEFAULT);
        assertThat(way(unknown)).containsExactly("watchcase");

        Job named = Job.of(steps(PartOff.plain("case-back"), stem), null, back(), Schools.DEFAULT);
        assertThat(way(named)).containsExactly("winder", "watchcase");
        assertThat(named.wayDown().brokenBy("watchcase"))
                .singleElement()
                .satisfies(c -> assertThat(c.why()).isEqualTo("the stem passes through the case"));
    }

    /** Craft 2.4: what looks loose is the crown's spring; a second stem, which no rule knows by its role, is a stem too. */
    @Test
    void aStemIsAStemByItsNameAsByItsRole() {
        PartNamed alarm = new PartNamed("alarm", "Alarm stem", Group.CASE, Side.TRAIN, null, List.of(), null);
        CaseSheet screwed = back().withCrowns(List.of(new CaseSheet.Crown("at 3", true)));
        Job named = Job.of(steps(alarm), null, back(), Schools.DEFAULT);
        assertThat(way(named)).containsSubsequence("alarm", "watchcase");
        assertThat(named.wayDown().brokenBy("watchcase"))
                .extracting(Constraint::why)
                .contains("the stem passes through the case");

        List<Part> parts = new ArrayList<>(MOVEMENT.parts());
        parts.add(alarm.part());
        CalibreSheet two = MOVEMENT.with(parts, List.of(), List.of());
        assertThat(Cased.of(two, screwed, Set.of()).requirePart("alarm").stateBefore())
                .contains("unscrewed");
        assertThat(Cased.of(two, back(), Set.of()).requirePart("alarm").note()).contains("Nobody said");
        assertThat(CaseSheet.isOfCase(alarm.part())).isFalse();
        assertThat(CaseSheet.isOfCase(Part.of("seal", "Stem seal", Group.CASE, Side.TRAIN)))
                .isTrue();
    }

    /** One hand said to wait for a part of the case: all do, on the case's sheet, and on every movement in it. */
    @Test
    void aHandHeldByTheCaseIsLearntOfTheHandsAndNotOfTheMovement() {
        PartNamed seconds =
                new PartNamed("seconds", "Seconds hand", Group.DIAL_AND_HANDS, Side.DIAL, null, List.of(), null);
        Job job = job(back(), seconds, new HoldStated("seconds", "case-back", "it is pressed on from there"));

        CaseDifference difference = CaseDifference.of(back(), job.history(), job.movement());
        assertThat(difference.lines())
                .extracting(CaseDifference.Line::words)
                .contains("Case back comes out before the hands")
                .doesNotContain("Case back comes out before the movement");
    }

    @Test
    void whatIsLearntOfTheCaseGoesToTheCaseAndNotToTheCalibre() {
        PartNamed spring =
                new PartNamed("bezel-spring", "Bezel spring", Group.CASE, Side.DIAL, null, List.of(Hazard.FLIES), null);
        Job job = job(
                back(),
                spring,
                PartOff.plain("bezel-spring"),
                new PartDescribed("case-back", Trait.LIFTS_FROM, "at the lug by 7"),
                new HoldStated("dial", "case-back", "stands on it"),
                new CaseSaid(CaseSaid.Fact.SCREW_DOWN_CROWN, CaseSaid.YES));

        CaseDifference difference = CaseDifference.of(back(), job.history(), job.movement());
        assertThat(difference.lines().stream().map(CaseDifference.Line::words))
                .anySatisfy(w -> assertThat(w).contains("Bezel spring is added"))
                .anySatisfy(w -> assertThat(w).contains("at the lug by 7"))
                .contains("Case back comes out before the movement", "its crown is screwed down");

        CaseSheet kept = difference.apply(
                difference.lines().stream().map(CaseDifference.Line::key).toList());
        assertThat(CaseCheck.faultsOf(kept)).isEmpty();
        assertThat(kept.part("bezel-spring").orElseThrow().kind()).isEqualTo(Kind.BEZEL_SPRING);
        assertThat(kept.part("case-back").orElseThrow().part().liftFrom()).isEqualTo("at the lug by 7");
        assertThat(kept.part("case-back").orElseThrow().holds()).containsExactly(Inside.MOVEMENT);
        assertThat(kept.screwDown()).isTrue();
        assertThat(difference.apply(List.of())).isEqualTo(back());
        // with the case as it is now there is nothing new any more
        Job after = Job.of(job.recorded(), MOVEMENT, kept, Schools.DEFAULT);
        assertThat(CaseDifference.of(kept, after.history(), after.movement()).lines())
                .isEmpty();

        assertThat(CaseDifference.withoutCase(job.movement(), MOVEMENT).parts())
                .extracting(Part::code)
                .containsExactlyInAnyOrder("stem", "hands", "dial", "bridge");
    }

    @Test
    void everyFaultOfACaseIsNamed() {
        CaseSheet faulty = new CaseSheet(
                "Not an id",
                "X",
                "",
                Opens.FRONT,
                List.of(),
                List.of(part(Kind.BACK, "case-back")),
                List.of(),
                List.of(),
                List.of());
        assertThat(CaseCheck.faultsOf(faulty)).hasSize(2);

        CaseSheet ring = new CaseSheet(
                "x-3",
                "X",
                "3",
                Opens.BACK,
                List.of(),
                List.of(part(Kind.BACK, "case-back"), part(Kind.CLAMPS, "clamps")),
                List.of(),
                List.of(new Hold("case-back", "clamps", "round it", Hold.Basis.STATED)),
                List.of());
        assertThat(CaseCheck.faultsOf(ring)).singleElement().asString().contains("in a ring");

        CaseSheet foreign = back(part(Kind.CRYSTAL, "crystal"));
        assertThat(CaseCheck.faultsOf(foreign)).singleElement().asString().contains("stands twice");
        CaseSheet front = new CaseSheet(
                "x-4",
                "X",
                "4",
                Opens.FRONT,
                List.of(),
                List.of(part(Kind.BACK, "case-back")),
                List.of(),
                List.of(),
                List.of());
        assertThat(CaseCheck.faultsOf(front)).singleElement().asString().contains("no part of it lies there");
    }

    @Test
    void layersMoveWithinTheirFaceOnly() {
        CaseSheet sheet = back(part(Kind.DUST_COVER, "dust-cover"), part(Kind.BEZEL, "bezel"));

        CaseSheet moved = sheet.moved("dust-cover", true);
        assertThat(moved.layers(Face.BACK)).extracting(CasePart::code).containsExactly("dust-cover", "case-back");
        assertThat(moved.layers(Face.FRONT)).isEqualTo(sheet.layers(Face.FRONT));
        assertThat(moved.moved("dust-cover", true)).isEqualTo(moved);
        assertThat(sheet.without("crystal").part("crystal")).isEmpty();
        assertThat(CaseCheck.order(sheet))
                .extracting(Part::code)
                .containsExactly("case-back", "dust-cover", "any-stem", "watchcase", "any-hands", "any-dial");
        assertThat(Set.of(Kind.like("Crown gasket"), Kind.like("Old turning ring"), Kind.like("Lid of the back")))
                .containsExactlyInAnyOrder(Kind.CROWN_SEAL, Kind.TURNING_RING, Kind.BACK);
    }
}
