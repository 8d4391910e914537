package escrel.core.order;

import static escrel.core.calibre.Calibres.hold;
import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.school.Choice;
import escrel.core.school.School;
import escrel.core.school.Schools;
import escrel.core.service.PowerNoted;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RulesTest {
    private static Node n(String code) {
        return Node.part(code);
    }

    @Test
    void weightierRuleWinsWhateverTheOrderInWhichTheyWereSaid() {
        Rules rules = Rules.of(
                List.of(n("a"), n("b")),
                List.of(
                        new Constraint(n("a"), n("b"), Constraint.Weight.SCHOOL, "habit", School.FIRST_SIDE),
                        new Constraint(n("b"), n("a"), Constraint.Weight.SAFETY, "safety")));

        assertThat(rules.all()).extracting(Constraint::why).containsExactly("safety");
    }

    /** A safety rule once gave way to a school: the power before the bridge, whichever habit says otherwise. */
    @Test
    void safetyNeverGivesWayToASchool() {
        CalibreSheet none = Calibres.small();
        CalibreSheet shock = Calibres.with(none, CalibreData.Setting.SHOCK);
        for (Choice choice : School.AFTER_DIAL.choices()) {
            assertThat(Rules.down(shock, Schools.DEFAULT.with(choice)).before(n("bridge")))
                    .as(choice.name())
                    .anyMatch(c -> c.first().equals(n("power")) && c.weight() == Constraint.Weight.SAFETY)
                    .anyMatch(c -> c.first().equals(n("cock")) && c.weight() == Constraint.Weight.SAFETY);
        }
    }

    /** Craft 4: without shock settings the balance comes first on the movement side, whatever the school. */
    @Test
    void balanceWithoutShockSettingIsNoMatterOfSchool() {
        assertThat(Rules.down(Calibres.small(), Schools.DEFAULT.with(Choice.BALANCE_LATE))
                        .before(n("power")))
                .anyMatch(c -> c.first().equals(n("cock")) && c.weight() == Constraint.Weight.SAFETY);
    }

    /** Craft 6: being in the case is no hold; at once, still in the case, is a school. */
    @Test
    void balanceMayComeOffAtOnceStillInTheCase() {
        CalibreSheet sheet = Calibres.small();

        assertThat(Jobs.of(sheet).wayDown().brokenBy("cock"))
                .extracting(Constraint::weight)
                .doesNotContain(Constraint.Weight.SAFETY);
        assertThat(Rules.down(sheet, Schools.DEFAULT.with(Choice.BALANCE_AT_ONCE))
                        .before(n("dial")))
                .anyMatch(c -> c.first().equals(n("cock")) && c.school() == School.AFTER_DIAL);
    }

    @Test
    void aHabitSetAsideSaysNothingMore() {
        CalibreSheet sheet = Calibres.small();

        assertThat(Rules.down(sheet, Schools.DEFAULT).before(n("yoke"))).anyMatch(c -> c.school() == School.DIAL_WHEN);
        assertThat(Rules.down(sheet, Schools.DEFAULT.without(School.DIAL_WHEN)).before(n("yoke")))
                .noneMatch(c -> c.school() == School.DIAL_WHEN);
    }

    /** A part, an oil point and a test of one code once hid each other. */
    @Test
    void onePartOnePointAndOneTestMayShareACode() {
        CalibreSheet sheet = Calibres.withPointAndTestCalled("wheel");

        assertThat(Jobs.of(sheet, Calibres.allOff(sheet)).wayUp().lines())
                .filteredOn(l -> l.code().equals("wheel"))
                .hasSize(3);
    }

    /** Craft 2.13, 6: the movement runs, is demagnetised and timed before dial and hands go on. */
    @Test
    void movementIsTimedBareBeforeTheDialGoesOn() {
        CalibreSheet sheet = Calibres.small();
        List<String> up = Jobs.of(sheet, Calibres.allOff(sheet)).wayUp().lines().stream()
                .map(l -> l.code())
                .toList();
        String magnet = code(sheet, AssemblyTest.Proof.DEMAGNETISED);
        String timed = code(sheet, AssemblyTest.Proof.READING);

        assertThat(up).containsSubsequence("cock", magnet, timed, "dial", "back");
    }

    /** Lower pivots are reached from the dial side, over which the movement has to be turned first. */
    @Test
    void noTrainRunsOnDryPivotsAndTheHandIsAskedBeforeTheMachine() {
        CalibreSheet sheet = Calibres.charted(
                Calibres.small(),
                List.of(new OilPoint(
                        "lower",
                        "Third wheel, lower pivot",
                        "wheel",
                        Side.DIAL,
                        LubricantClass.FINE_OIL,
                        "a drop",
                        "bridge",
                        "dial",
                        0,
                        0,
                        "")),
                List.of(new AssemblyTest("by-hand", "Starts by itself", Side.TRAIN, "cock", null, "it does")));

        List<String> up = Jobs.of(sheet, Calibres.allOff(sheet)).wayUp().lines().stream()
                .map(l -> l.code())
                .toList();

        assertThat(up).containsSubsequence("cock", "by-hand", code(sheet, AssemblyTest.Proof.DEMAGNETISED));
        assertThat(up).containsSubsequence("bridge", "lower", code(sheet, AssemblyTest.Proof.DEMAGNETISED), "dial");
    }

    @Test
    void chronographIsBuiltBeforeDialAndHandsGoOn() {
        CalibreSheet sheet = Calibres.of(
                List.of(
                        Part.of("dial", "Dial", Group.DIAL_AND_HANDS, Side.DIAL).withRole(Role.DIAL),
                        Part.of("seconds", "Seconds hand", Group.DIAL_AND_HANDS, Side.DIAL),
                        Part.of("hammer", "Hammer", Group.CHRONOGRAPH, Side.TRAIN),
                        Part.of("runner", "Runner", Group.CHRONOGRAPH, Side.TRAIN)),
                List.of(Calibres.hold("dial", "seconds")));

        assertThat(Jobs.of(sheet, Calibres.allOff(sheet)).wayUp().lines())
                .extracting(l -> l.code())
                .containsSubsequence("runner", "hammer", "dial", "seconds");
    }

    private static String code(CalibreSheet sheet, AssemblyTest.Proof proof) {
        return sheet.climbTests().stream()
                .filter(t -> t.proof() == proof)
                .findFirst()
                .orElseThrow()
                .code();
    }

    @Test
    void partsThatCameAwayTogetherArePartedAfterTheirUnit() {
        CalibreSheet sheet = Calibres.of(
                List.of(
                        Part.of("lever", "Lever", Group.AUTOMATIC, Side.TRAIN).withUnit("module"),
                        Part.of("module", "Module", Group.AUTOMATIC, Side.TRAIN)),
                List.of());

        assertThat(Jobs.of(sheet).wayDown().remaining())
                .extracting(Part::code)
                .containsExactly("case-back", "watchcase", "module", "lever");
    }

    /** An imported sheet can neither hang nor overflow the planner: dense units in the hand once grew exponentially. */
    @Test
    void denseUnitsInTheHandAndRingsAmongThemArePlannedAtOnce() {
        List<Part> parts = new ArrayList<>();
        List<escrel.core.calibre.Hold> holds = new ArrayList<>();
        for (int i = 0; i < 120; i++) {
            parts.add(Part.of("h" + i, "In the hand " + i, Group.AUTOMATIC, Side.IN_HAND));
            for (int j = 0; j < i; j++) {
                holds.add(hold("h" + i, "h" + j));
            }
        }
        holds.add(hold("h0", "h119"));

        assertThat(Jobs.of(Calibres.of(parts, holds)).wayDown().remaining())
                .filteredOn(p -> p.code().startsWith("h"))
                .hasSize(120);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void everyRuleKeptIsKeptByTheOrderBothWays(long seed) {
        CalibreSheet sheet = Calibres.withRoles(Calibres.random(seed, 80), seed);
        List<Node> down = Jobs.of(sheet).wayDown().remaining().stream()
                .map(p -> Node.part(p.code()))
                .toList();
        List<Node> up = Jobs.of(sheet, Calibres.allOff(sheet)).wayUp().lines().stream()
                .map(l -> l.node())
                .toList();

        assertKept(Rules.down(sheet, Schools.DEFAULT), down, seed);
        assertKept(Rules.up(sheet, Schools.DEFAULT), up, seed);
    }

    private static void assertKept(Rules rules, List<Node> order, long seed) {
        assertThat(rules.all())
                .filteredOn(c -> order.contains(c.first()) && order.contains(c.then()))
                .isNotEmpty()
                .allSatisfy(c -> assertThat(order.indexOf(c.first()))
                        .as("%s before %s, seed %d", c.first(), c.then(), seed)
                        .isLessThan(order.indexOf(c.then())));
    }

    /** A calendar jumper without shock setting was ordered jumper, cock, power. */
    @Test
    void wayInEndsWithItsTargetAndEverythingWantedComesBefore() {
        CalibreSheet base = Calibres.small();
        List<Part> parts = new ArrayList<>(base.parts());
        parts.add(Part.of("jumper", "Date jumper", Group.CALENDAR, Side.DIAL));
        CalibreSheet sheet = Calibres.of(parts, base.holds());

        List<Part> way = Jobs.of(sheet).wayIn("jumper").remaining();

        assertThat(way).extracting(Part::code).contains("cock", "power").endsWith("jumper");
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void everyWayInEndsWithItsTarget(long seed) {
        CalibreSheet sheet = Calibres.withRoles(Calibres.random(seed, 40), seed);
        for (Part part : sheet.parts()) {
            assertThat(Jobs.of(sheet).wayIn(part.code()).remaining())
                    .as("way in to %s, seed %d", part.code(), seed)
                    .endsWith(part);
        }
    }

    /** Craft 2.7: where crown and ratchet screw are refused, the train is the way left and the fork comes out first. */
    @Test
    void refusedCrownTurnsTheRuleOfForkAndPowerRound() {
        CalibreSheet sheet = Calibres.small();
        PowerNoted refused = new PowerNoted(PowerNoted.What.CROWN_REFUSED, "", "");

        assertThat(Jobs.of(sheet).wayDown().brokenBy("pallets"))
                .anyMatch(c -> c.first().equals(n("power")));
        assertThat(Jobs.of(sheet, refused).wayDown().brokenBy("pallets"))
                .noneMatch(c -> c.first().equals(n("power")));
        assertThat(Jobs.of(sheet, refused).wayDown().brokenBy("bridge"))
                .anyMatch(c -> c.first().equals(n("power")));
    }

    @Test
    void rolesOfAnUnknownMovementAreEnoughForTheSafetyRules() {
        CalibreSheet sheet = Calibres.of(
                List.of(
                        Part.of("power", "Power", Group.BARREL, Side.TRAIN).withRole(Role.POWER_DOWN),
                        Part.of("bridge", "Bridge", Group.TRAIN, Side.TRAIN).withRole(Role.TRAIN_BRIDGE)),
                List.of());

        assertThat(Jobs.of(sheet).wayDown().brokenBy("bridge"))
                .filteredOn(c -> c.first().equals(n("power")))
                .singleElement()
                .satisfies(c -> assertThat(c.wantsReason()).isTrue());
    }
}
