package escrel.core.teardown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import escrel.core.Histories;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.order.Constraint;
import escrel.core.order.Rules;
import escrel.core.school.Schools;
import escrel.core.service.Eased;
import escrel.core.service.JobHistory;
import escrel.core.service.LeftFitted;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.WayInPlanned;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is left fitted, opened only so far, or let down twice. */
class PartialServiceTest {
    private static TeardownState state(CalibreSheet sheet, Step... steps) {
        return TeardownState.of(sheet, Histories.of(steps));
    }

    private static List<String> remaining(TeardownState state) {
        return TeardownOrder.from(state, Schools.DEFAULT).remaining().stream()
                .map(Part::code)
                .toList();
    }

    @Test
    void whatIsLeftFittedStaysAndSoDoesWhatItHolds() {
        TeardownState state = state(Calibres.small(), new LeftFitted(List.of("bridge"), "train sound"));

        assertThat(state.staying()).containsExactlyInAnyOrder("bridge", "wheel");
        assertThat(remaining(state)).doesNotContain("bridge", "wheel").contains("cock", "ratchet");
        assertThat(state.freeNow()).extracting(Part::code).doesNotContain("wheel");
    }

    @Test
    void takenOffAfterAllItIsNoLongerLeftFitted() {
        TeardownState state = state(
                Calibres.small(), new LeftFitted(List.of("yoke"), ""), PartOff.plain("dial"), PartOff.plain("yoke"));

        assertThat(state.leftFitted()).isEmpty();
        assertThat(state.isOff("yoke")).isTrue();
    }

    @Test
    void bareIsAllButWhatStays() {
        List<Step> steps = new ArrayList<>(List.of(new LeftFitted(List.of("bridge"), "")));
        TeardownState before = state(Calibres.small(), steps.get(0));
        remaining(before).forEach(p -> steps.add(PartOff.plain(p)));

        assertThat(before.isBare()).isFalse();
        assertThat(state(Calibres.small(), steps.toArray(Step[]::new)).isBare()).isTrue();
        assertThatThrownBy(() -> new LeftFitted(List.of(), "")).hasMessageContaining("no part was named");
    }

    @Test
    void plannedOnlySoFarTheOrderEndsThere() {
        TeardownState state = state(Calibres.small(), new WayInPlanned("ratchet", "weak spring"));

        assertThat(remaining(state)).endsWith("ratchet").doesNotContain("yoke", "wheel", "dial");
        assertThat(state.target()).contains("ratchet");
        assertThat(state(Calibres.small(), new WayInPlanned("ratchet", ""), new WayInPlanned("", ""))
                        .target())
                .isEmpty();
    }

    @Test
    void alarmIsLetDownByItself() {
        CalibreSheet sheet = Calibres.of(
                List.of(
                        Part.of("power", "Power let down", Group.BARREL, Side.TRAIN)
                                .withRole(Role.POWER_DOWN),
                        Part.of("alarm-power", "Alarm let down", Group.ALARM, Side.TRAIN)
                                .withRole(Role.POWER_DOWN),
                        Part.of("ratchet", "Ratchet wheel", Group.BARREL, Side.TRAIN)
                                .withRole(Role.RATCHET_WHEEL),
                        Part.of("alarm-ratchet", "Alarm ratchet", Group.ALARM, Side.TRAIN)
                                .withRole(Role.RATCHET_WHEEL),
                        Part.of("bridge", "Bridge over both barrels", Group.BARREL, Side.TRAIN)
                                .withRole(Role.BARREL_BRIDGE)),
                List.of());
        TeardownState whole = state(sheet);

        assertThat(TeardownOrder.from(whole, Schools.DEFAULT).brokenBy("alarm-ratchet"))
                .extracting(c -> c.first().code())
                .containsExactly("alarm-power");
        assertThat(TeardownOrder.from(whole, Schools.DEFAULT).brokenBy("bridge"))
                .extracting(c -> c.first().code())
                .containsExactlyInAnyOrder("power", "alarm-power");
        assertThat(TeardownOrder.wayIn(whole, Schools.DEFAULT, "ratchet").remaining())
                .extracting(Part::code)
                .containsExactly("power", "ratchet");
        // wound again, only its own power is due anew
        assertThat(state(
                                sheet,
                                PartOff.plain("power"),
                                PartOff.plain("alarm-power"),
                                PartOff.plain("ratchet"),
                                PartOn.plain("ratchet"))
                        .isOff("alarm-power"))
                .isTrue();
    }

    /** Holds, safety and schools in that weight, over random movements of 300 parts. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void orderOfThreeHundredPartsKeepsEveryRule(long seed) {
        CalibreSheet sheet = Calibres.withRoles(Calibres.random(seed, 300), seed);
        TeardownState whole = TeardownState.of(sheet, JobHistory.empty());
        List<Constraint> rules = Rules.down(sheet, Schools.DEFAULT).all();
        Set<String> off = new HashSet<>();
        for (Part part : TeardownOrder.from(whole, Schools.DEFAULT).remaining()) {
            assertThat(rules)
                    .as("seed %d, %s", seed, part.code())
                    .noneMatch(c -> c.then().code().equals(part.code())
                            && !off.contains(c.first().code()));
            off.add(part.code());
        }
        assertThat(off).hasSize(300);
        // nothing stated may be given up for a rule of less weight
        assertThat(rules.stream().filter(c -> c.weight() == Constraint.Weight.HOLD))
                .hasSize(sheet.holds().size());
        assertThat(rules)
                .isSortedAccordingTo(
                        (a, b) -> a.weight() == Constraint.Weight.HOLD || b.weight() != Constraint.Weight.HOLD ? 0 : 1);
    }

    @Test
    void ownTimesAreMediansAndPausesDoNotCount() {
        JobHistory quick = at(PartOff.plain("a"), 0, PartOff.plain("b"), 60, PartOff.plain("c"), 60 + 3600);
        JobHistory slow = at(PartOff.plain("a"), 0, PartOff.plain("b"), 180);
        StepTimes times = StepTimes.of(Stream.of(quick, slow, JobHistory.empty())
                .map(StepTimes::ofService)
                .toList());

        assertThat(times.minutes("b")).hasValueCloseTo(2.0, within(1e-9));
        assertThat(times.minutes("c")).isEmpty();
        assertThat(times.minutes("a")).isEmpty();
        assertThat(times.services()).isEqualTo(2);
    }

    private static JobHistory at(Object... stepsAndSeconds) {
        List<RecordedStep> steps = new ArrayList<>();
        for (int i = 0; i < stepsAndSeconds.length; i += 2) {
            steps.add(new RecordedStep(
                    steps.size() + 1, Instant.EPOCH.plusSeconds((Integer) stepsAndSeconds[i + 1]), (Step)
                            stepsAndSeconds[i]));
        }
        return JobHistory.of(steps);
    }

    @Test
    void easedTurnsAreCountedWithinReason() {
        assertThat(new Eased("screw", Eased.Way.LOOSENED, 2.5).turns()).isEqualTo(2.5);
        assertThatThrownBy(() -> new Eased("screw", Eased.Way.LOOSENED, -1)).hasMessageContaining("-1");
    }

    @Test
    void holdsSeenOnlyGiveWayToEverything() {
        CalibreSheet sheet = Calibres.of(
                Calibres.small().parts(),
                List.of(new Hold("power", "pallets", "always seen so (once)", Hold.Basis.SEEN)));

        assertThat(remaining(TeardownState.of(sheet, JobHistory.empty()))).containsSubsequence("power", "pallets");
    }
}
