package escrel.core.school;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import escrel.core.Histories;
import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.SchoolChart;
import escrel.core.calibre.Side;
import escrel.core.calibre.Train;
import escrel.core.calibre.Wash;
import escrel.core.job.Job;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.Step;
import escrel.core.teardown.Caution;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SchoolsTest {
    @ParameterizedTest
    @EnumSource(School.class)
    void everyQuestionHasSidesWithReasons(School school) {
        assertThat(school.question()).isNotBlank();
        assertThat(school.choices())
                .hasSizeBetween(2, 4)
                .allSatisfy(c -> assertThat(c.reason()).isNotBlank());
        assertThat(Schools.DEFAULT.of(school)).contains(school.choices().get(0));
        assertThat(Schools.NONE.of(school)).isEmpty();
    }

    @Test
    void laterChoiceTakesThePlaceOfTheEarlierOne() {
        Schools workshop = Schools.DEFAULT.with(Choice.POWER_DOWN_FIRST);
        Schools job = workshop.with(List.of(Choice.TRAIN_FIRST, Choice.BALANCE_FIRST));

        assertThat(workshop.has(Choice.POWER_DOWN_FIRST)).isTrue();
        assertThat(job.has(Choice.BALANCE_FIRST)).isTrue();
        assertThat(job.has(Choice.POWER_DOWN_FIRST)).isFalse();
        assertThat(job.has(Choice.TRAIN_FIRST)).isTrue();
    }

    private static List<String> order(CalibreSheet sheet, Choice... choices) {
        return TeardownOrder.from(TeardownState.of(sheet, JobHistory.empty()), Schools.DEFAULT.with(choices))
                .remaining()
                .stream()
                .map(Part::code)
                .toList();
    }

    private static CalibreSheet twoSides() {
        return Calibres.of(
                List.of(
                        Part.of("yoke", "Yoke", Group.KEYLESS, Side.DIAL),
                        Part.of("lever", "Setting lever", Group.KEYLESS, Side.DIAL),
                        Part.of("minute", "Minute wheel", Group.MOTION_WORK, Side.DIAL)
                                .withRole(Role.MINUTE_WHEEL),
                        Part.of("cannon", "Cannon pinion", Group.MOTION_WORK, Side.DIAL)
                                .withRole(Role.CANNON_PINION),
                        Part.of("bridge", "Train bridge", Group.TRAIN, Side.TRAIN)
                                .withRole(Role.TRAIN_BRIDGE),
                        Part.of("barrel", "Barrel", Group.BARREL, Side.TRAIN)),
                List.of());
    }

    @Test
    void firstSideDecidesWhatIsStrippedFirst() {
        assertThat(order(twoSides(), Choice.DIAL_SIDE_FIRST))
                .startsWith("yoke", "lever")
                .endsWith("bridge", "barrel");
        assertThat(order(twoSides(), Choice.TRAIN_FIRST)).containsSubsequence("bridge", "barrel", "yoke");
    }

    @Test
    void cannonPinionComesBeforeOrAfterTheMinuteWheel() {
        assertThat(order(twoSides())).containsSubsequence("minute", "cannon");
        assertThat(order(twoSides(), Choice.CANNON_PINION_FIRST)).containsSubsequence("cannon", "minute");
    }

    @Test
    void handsAndMainspringAreSpokenOfByHabit() {
        Part hands = Part.of("hands", "Hands", Group.DIAL_AND_HANDS, Side.DIAL).withRole(Role.HANDS);
        Part spring =
                Part.of("spring", "Mainspring", Group.BARREL, Side.IN_HAND).withRole(Role.MAINSPRING);
        CalibreSheet sheet = Calibres.of(List.of(hands, spring), List.of());

        assertThat(Caution.before(sheet, hands, Schools.DEFAULT.with(Choice.SPRING_PULLER)))
                .extracting(Caution::title)
                .contains("A spring puller");
        assertThat(Caution.before(sheet, spring, Schools.DEFAULT.with(Choice.ALWAYS_REPLACE)))
                .extracting(Caution::title)
                .contains("This workshop replaces it");
    }

    private static CalibreSheet charted() {
        Part fork = Part.of("fork", "Fork", Group.BALANCE_AND_ESCAPEMENT, Side.TRAIN)
                .withRole(Role.PALLET_FORK);
        Part coated = Part.of("escape", "Escape wheel", Group.TRAIN, Side.TRAIN)
                .withRole(Role.ESCAPE_WHEEL)
                .withWash(Wash.BY_HAND, "coated");
        Part spring =
                Part.of("spring", "Mainspring", Group.BARREL, Side.IN_HAND).withRole(Role.MAINSPRING);
        Part third = Part.of("third", "Third wheel", Group.TRAIN, Side.TRAIN);
        List<Part> parts = List.of(
                fork,
                coated,
                spring,
                third,
                Part.of("barrel", "Barrel", Group.BARREL, Side.TRAIN),
                Part.of("centre", "Centre wheel", Group.TRAIN, Side.TRAIN));
        CalibreSheet bare = Calibres.of(parts, List.of());
        return new CalibreSheet(
                "test",
                "Test",
                new CalibreData(
                        25,
                        18_000.0,
                        50.0,
                        0,
                        CalibreData.Setting.SHOCK,
                        CalibreData.Stud.FIXED,
                        bare.data().watchClass(),
                        ""),
                null,
                parts,
                List.of(),
                List.of(),
                List.of(),
                List.of(
                        point("o-stone", "fork", LubricantClass.PALLET),
                        point("o-third", "third", LubricantClass.FINE_OIL)),
                List.of(),
                List.of(),
                new Train(List.of(
                        new Train.Mobile("barrel", 80, 0),
                        new Train.Mobile("centre", 80, 12),
                        new Train.Mobile("third", 75, 10),
                        new Train.Mobile("escape", 15, 8))),
                List.of());
    }

    private static OilPoint point(String code, String part, LubricantClass lubricant) {
        return new OilPoint(code, code, part, Side.TRAIN, lubricant, "a little", null, null, 0, 0, "");
    }

    @Test
    void chartsFollowTheSchoolsAndCoatedPartsKeepOutOfTheMachine() {
        CalibreSheet sheet = charted();
        CalibreSheet otherwise = SchoolChart.of(
                sheet,
                Schools.DEFAULT.with(
                        Choice.FORK_DIPPED, Choice.GREASE_FLOOR, Choice.SPLIT_AT_THIRD, Choice.ESCAPE_TEETH));

        assertThat(SchoolChart.of(sheet, Schools.DEFAULT)).isSameAs(sheet);
        assertThat(otherwise.requirePart("fork").wash()).isEqualTo(Wash.DIP);
        assertThat(otherwise.requirePart("escape").wash()).isEqualTo(Wash.BY_HAND);
        assertThat(otherwise.oilPoints())
                .extracting(OilPoint::code, OilPoint::lubricant)
                .contains(
                        tuple("o-third", LubricantClass.MEDIUM_OIL),
                        tuple("o-drum-floor", LubricantClass.MAINSPRING_GREASE));
        assertThat(otherwise.oilPoints().get(0).amount()).contains("escape tooth");
    }

    @Test
    void trainIsOiledAtTheEndWhereThatIsTheHabitAndNothingIsClosedOver() {
        CalibreSheet sheet = charted();
        JobHistory apart = Histories.of(
                sheet.parts().stream().map(p -> PartOff.plain(p.code())).toArray(Step[]::new));
        List<String> asTheyGoOn = lines(sheet, apart, Schools.DEFAULT);
        List<String> atTheEnd = lines(sheet, apart, Schools.DEFAULT.with(Choice.TRAIN_AT_END));

        assertThat(asTheyGoOn.indexOf("o-third")).isLessThan(asTheyGoOn.size() - 1);
        assertThat(atTheEnd.indexOf("o-third")).isGreaterThan(atTheEnd.indexOf("barrel"));
        assertThat(atTheEnd).containsExactlyInAnyOrderElementsOf(asTheyGoOn);
    }

    private static List<String> lines(CalibreSheet sheet, JobHistory apart, Schools schools) {
        return Job.of(apart, sheet, schools).wayUp().lines().stream()
                .map(AssemblyPlan.Line::code)
                .toList();
    }

    @Test
    void mainspringAndCoatedPartsAreSpokenOfOnTheWayUp() {
        CalibreSheet sheet = charted();

        assertThat(Caution.onTheWayUp(sheet, sheet.requirePart("spring"), Schools.DEFAULT))
                .extracting(Caution::words)
                .anyMatch(w -> w.startsWith("Never by hand"));
        assertThat(Caution.onTheWayUp(sheet, sheet.requirePart("fork"), Schools.DEFAULT))
                .hasSize(1);
        assertThat(Caution.onTheWayUp(sheet, sheet.requirePart("fork"), Schools.DEFAULT.with(Choice.FILM_NONE)))
                .isEmpty();
        assertThat(Caution.onTheWayUp(sheet, sheet.requirePart("third"), Schools.DEFAULT))
                .isEmpty();
    }
}
