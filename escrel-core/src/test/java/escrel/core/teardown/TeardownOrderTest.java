package escrel.core.teardown;

import static escrel.core.calibre.Calibres.hold;
import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Calibres;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.WatchClass;
import escrel.core.order.Constraint;
import escrel.core.order.Node;
import escrel.core.order.Rules;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.PowerNoted;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.Visit;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TeardownOrderTest {
    static JobHistory after(Step... steps) {
        return JobHistory.of(IntStream.range(0, steps.length)
                .mapToObj(i -> new RecordedStep(i + 1, Instant.EPOCH.plusSeconds(i), steps[i]))
                .toList());
    }

    private static List<String> order(CalibreSheet sheet, Step... steps) {
        return TeardownOrder.from(TeardownState.of(sheet, after(steps)), Schools.DEFAULT).remaining().stream()
                .map(Part::code)
                .toList();
    }

    @Test
    void dialThenBalanceThenPowerThenWhatItHolds() {
        List<String> order = order(Calibres.small());

        assertThat(order).containsSubsequence("back", "dial", "cock", "power", "pallets");
        assertThat(order).containsSubsequence("power", "ratchet", "bridge", "wheel");
    }

    @Test
    void powerComesDownBeforeTheBridgeEvenWithoutAStatedHold() {
        List<Constraint> rules = Rules.down(Calibres.small(), Schools.DEFAULT).all();

        assertThat(rules)
                .anySatisfy(c -> assertThat(c)
                        .extracting(Constraint::first, Constraint::then, Constraint::weight)
                        .containsExactly(Node.part("power"), Node.part("ratchet"), Constraint.Weight.SAFETY));
    }

    @Test
    void ruleThatContradictsAHoldGivesWay() {
        // the balance can only come off once the wheel is off: a strange movement, but its hold is stated
        CalibreSheet strange = Calibres.withHolds(Calibres.small(), hold("cock", "wheel"));

        assertThat(order(strange)).containsSubsequence("wheel", "cock");
    }

    @Test
    void brokenRulesAreNamedWeightiestFirst() {
        TeardownOrder order =
                TeardownOrder.from(TeardownState.of(Calibres.small(), JobHistory.empty()), Schools.DEFAULT);

        List<Constraint> broken = order.brokenBy("pallets");

        assertThat(broken).extracting(c -> c.first().code()).contains("cock", "power", "dial");
        assertThat(broken.get(0).weight()).isEqualTo(Constraint.Weight.HOLD);
        assertThat(broken).allSatisfy(c -> assertThat(c.why()).isNotBlank());
    }

    @Test
    void schoolDecidesWhetherPowerOrBalanceComesFirst() {
        // with a shock setting it is a matter of school
        CalibreSheet none = Calibres.small();
        CalibreSheet shock = new CalibreSheet(
                none.id(),
                none.name(),
                new CalibreData(
                        25,
                        18_000.0,
                        50.0,
                        17,
                        CalibreData.Setting.SHOCK,
                        CalibreData.Stud.MOVABLE,
                        WatchClass.MODERN_SLOW,
                        ""),
                null,
                none.parts(),
                List.of(),
                none.holds(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                null,
                List.of());
        Schools powerFirst = Schools.DEFAULT.with(Choice.POWER_DOWN_FIRST);

        assertThat(codes(shock, powerFirst)).containsSubsequence("power", "cock");
        assertThat(codes(shock, Schools.DEFAULT)).containsSubsequence("cock", "power");
        assertThat(codes(none, powerFirst)).containsSubsequence("cock", "power");
    }

    private static List<String> codes(CalibreSheet sheet, Schools schools) {
        return TeardownOrder.from(TeardownState.of(sheet, JobHistory.empty()), schools).remaining().stream()
                .map(Part::code)
                .toList();
    }

    @Test
    void freeNowIsWhatNothingHolds() {
        TeardownState state = TeardownState.of(Calibres.small(), after(PartOff.plain("back")));

        assertThat(state.freeNow()).extracting(Part::code).containsExactly("dial", "cock", "power", "ratchet");
        assertThat(state.heldBy("wheel")).extracting(Part::code).containsExactly("bridge");
    }

    @Test
    void wayInTakesOnlyWhatMustComeOff() {
        TeardownOrder way =
                TeardownOrder.wayIn(TeardownState.of(Calibres.small(), JobHistory.empty()), Schools.DEFAULT, "ratchet");

        // no shock setting: the balance comes off; the dial side stays
        assertThat(way.remaining()).extracting(Part::code).containsExactly("back", "cock", "power", "ratchet");
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void everyProposedOrderKeepsEveryHold(long seed) {
        CalibreSheet sheet = Calibres.random(seed, 300);

        List<String> order = order(sheet);

        assertThat(order).hasSize(300).doesNotHaveDuplicates();
        assertThat(sheet.holds())
                .allSatisfy(h -> assertThat(order.indexOf(h.by()))
                        .as("%s before %s, seed %d", h.by(), h.part(), seed)
                        .isLessThan(order.indexOf(h.part())));
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15, 16})
    void noStepOfAWayInCanBeLeftOut(long seed) {
        CalibreSheet sheet = Calibres.random(seed, 40);
        TeardownState whole = TeardownState.of(sheet, JobHistory.empty());
        String target = "p" + new Random(seed).nextInt(40);

        List<String> way = TeardownOrder.wayIn(whole, Schools.DEFAULT, target).remaining().stream()
                .map(Part::code)
                .toList();

        assertThat(way).endsWith(target);
        // without any one of them, something on the way stays held
        for (String left : way.subList(0, way.size() - 1)) {
            assertThat(sheet.heldBy(left).stream().map(Hold::part).anyMatch(way::contains))
                    .as("%s is needed on the way to %s, seed %d", left, target, seed)
                    .isTrue();
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {21, 22, 23, 24})
    void oneMoreHoldNeverShortensAWayIn(long seed) {
        CalibreSheet sheet = Calibres.random(seed, 30);
        TeardownState whole = TeardownState.of(sheet, JobHistory.empty());
        List<String> order = order(sheet);
        Random random = new Random(seed);
        int late = 1 + random.nextInt(29);
        // along an existing order, so no ring
        CalibreSheet more = Calibres.withHolds(sheet, hold(order.get(late), order.get(random.nextInt(late))));

        for (String target : order) {
            assertThat(TeardownOrder.wayIn(TeardownState.of(more, JobHistory.empty()), Schools.DEFAULT, target)
                            .remaining())
                    .as("way in to %s, seed %d", target, seed)
                    .hasSizeGreaterThanOrEqualTo(TeardownOrder.wayIn(whole, Schools.DEFAULT, target)
                            .remaining()
                            .size());
        }
    }

    @Test
    void partOffAndOnAndOffAgainIsOff() {
        CalibreSheet sheet = Calibres.small();
        TeardownState on = TeardownState.of(sheet, after(PartOff.plain("back"), PartOn.plain("back")));
        TeardownState again =
                TeardownState.of(sheet, after(PartOff.plain("back"), PartOn.plain("back"), PartOff.plain("back")));

        assertThat(on.isOff("back")).isFalse();
        assertThat(on.isOnAgain("back")).isTrue();
        assertThat(again.isOff("back")).isTrue();
    }

    /** Power is a state: fitting the ratchet wheel does not raise it, winding does. Issue: power, craft 9. */
    @Test
    void onlyWindingOrAReadingRaisesThePower() {
        Step[] closed = {PartOff.plain("power"), PartOff.plain("ratchet"), PartOn.plain("ratchet")};

        assertThat(TeardownState.of(Calibres.small(), after(closed)).isOff("power"))
                .isTrue();
        assertThat(TeardownState.of(
                                Calibres.small(),
                                after(closed[0], closed[1], closed[2], new PowerNoted(PowerNoted.What.WOUND, "", "")))
                        .isOff("power"))
                .isFalse();
    }

    @Test
    void visitNeverCountsAsOn() {
        TeardownState state = TeardownState.of(
                Calibres.small(), after(PartOff.plain("cock"), new Visit("cock", Visit.Act.BEGIN, "swing test")));

        assertThat(state.isOff("cock")).isTrue();
        assertThat(state.visiting()).containsExactly("cock");
    }
}
