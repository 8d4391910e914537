package escrel.core.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.Jobs;
import escrel.core.calibre.Calibres;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.job.Job;
import escrel.core.job.Wait;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.FindingWorked;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.service.WorkAgreed;
import escrel.core.supply.Want.State;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a job wants follows from decisions, orders and copies; what is taken back takes its want along. Source: craft 2.10. */
class SupplyTest {
    private static final LocalDate DAY = LocalDate.of(2027, 3, 8);
    private static final Step CHIPPED =
            new PartOff("wheel", Grade.MEND, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "chipped", "");

    /** The finding has the key 2; what comes after it begins with step 3. */
    private static Job job(Step... more) {
        List<Step> steps = new ArrayList<>(List.of(WorkAgreed.today(WorkAgreed.Work.SERVICE, ""), CHIPPED));
        steps.addAll(List.of(more));
        return Jobs.of(Calibres.small(), steps.toArray(Step[]::new));
    }

    private static Step decided(Decision decision) {
        return new Decided("2", decision, "if it slips when wound", "");
    }

    private static Ordered ordered(Ordered.Kind kind) {
        return new Ordered(kind, "2", "wheel", "Wheel", "Stennay material store", "S-1", "5.2 mm", 24.0, DAY);
    }

    private static Want only(Job job) {
        assertThat(job.supply().wants()).hasSize(1);
        return job.supply().wants().get(0);
    }

    @ParameterizedTest
    @CsvSource({
        "REPLACE_NEW, TO_ORDER",
        "INTERIM, TO_ORDER",
        "REPLACE_DONOR, TO_TAKE",
        "SEND_OUT, TO_SEND",
        "REUSE_ON_CONDITION, CONDITION"
    })
    void decisionWantsSomethingByItself(Decision decision, State state) {
        Want want = only(job(decided(decision)));

        assertThat(want.state()).isEqualTo(state);
        assertThat(want.finding()).isEqualTo("2");
        assertThat(want.part()).isEqualTo("wheel");
    }

    @ParameterizedTest
    @ValueSource(strings = {"CLEAN_AND_REUSE", "ADJUST", "REPAIR", "MAKE", "LEAVE_BY_AGREEMENT"})
    void workAtTheBenchWantsNothingFromElsewhere(Decision decision) {
        assertThat(job(decided(decision)).supply().wants()).isEmpty();
    }

    @Test
    void orderIsPlacedPutOffCheckedAndFitted() {
        Step decided = decided(Decision.REPLACE_NEW);
        Step order = ordered(Ordered.Kind.PART);
        assertThat(only(job(decided, order)))
                .satisfies(w -> assertThat(w.state()).isEqualTo(State.ORDERED))
                .satisfies(w -> assertThat(w.isLate(DAY)).isFalse())
                .satisfies(w -> assertThat(w.isLate(DAY.plusDays(1))).isTrue());
        Step off = new PutOff(4, DAY.plusDays(7));
        assertThat(only(job(decided, order, off)).isLate(DAY.plusDays(1))).isFalse();
        Step here = new Came(4, Came.Judgement.UNCHECKED, "");
        assertThat(only(job(decided, order, off, here)).state()).isEqualTo(State.TO_CHECK);
        Step right = new Came(4, Came.Judgement.RIGHT, "");
        Step copy = new CopyAtHand("wheel", CopyAtHand.Origin.NEW, "Stennay material store", "5.2 mm");
        Job arrived = job(decided, order, off, here, right, copy);
        assertThat(only(arrived).state()).isEqualTo(State.TO_FIT);
        assertThat(Wait.of(arrived)).isEmpty();
        Job fitted = job(decided, order, off, here, right, copy, PartOn.plain("wheel"));
        assertThat(only(fitted).state()).isEqualTo(State.DONE);
    }

    @Test
    void whatCameWrongIsToBeGotAgainAndAnotherOrderTakesItsPlace() {
        Job wrong = job(
                decided(Decision.REPLACE_NEW),
                ordered(Ordered.Kind.PART),
                new Came(4, Came.Judgement.WRONG, "a tooth too many"));
        assertThat(wrong.supply().wants()).extracting(Want::state).containsExactly(State.TO_ORDER, State.CALLED_OFF);
        assertThat(wrong.supply().wants().get(0).words()).isEqualTo("what came was wrong: a tooth too many");
        assertThat(Wait.of(wrong)).containsExactly(Wait.PART);

        Job again = job(
                decided(Decision.REPLACE_NEW),
                ordered(Ordered.Kind.PART),
                new Came(4, Came.Judgement.WRONG, "a tooth too many"),
                ordered(Ordered.Kind.PART));
        assertThat(again.supply().wants()).extracting(Want::state).containsExactly(State.ORDERED, State.CALLED_OFF);
    }

    @Test
    void orderTakenBackLeavesWhatWasWantedBefore() {
        assertThat(only(job(decided(Decision.REPLACE_NEW), ordered(Ordered.Kind.PART), new TakenBack(4)))
                        .state())
                .isEqualTo(State.TO_ORDER);
    }

    /** It was paid for and is on its way, whatever was decided since. */
    @Test
    void orderUnderWayStaysWhenTheDecisionChanges() {
        Job job = job(
                decided(Decision.REPLACE_NEW),
                ordered(Ordered.Kind.PART),
                new Decided("2", Decision.REPAIR, "a tooth is let in", ""));

        assertThat(only(job).state()).isEqualTo(State.ORDERED);
        assertThat(only(job).key()).isEqualTo("o4");
    }

    /** Neither a donor decided on since nor a condition hides what was ordered. */
    @ParameterizedTest
    @CsvSource({"REPLACE_DONOR, TO_TAKE", "REUSE_ON_CONDITION, CONDITION"})
    void orderUnderWayStandsBesideWhatWasDecidedSince(Decision decision, State state) {
        assertThat(job(decided(Decision.REPLACE_NEW), ordered(Ordered.Kind.PART), decided(decision))
                        .supply()
                        .wants())
                .extracting(Want::state)
                .containsExactly(state, State.ORDERED);
    }

    /** The drawer had one after all: the finding is settled by it, and what was ordered is still on its way. */
    @Test
    void orderUnderWayOutlastsAnotherCopyThatCameFirst() {
        Step decided = decided(Decision.REPLACE_NEW);
        Step order = ordered(Ordered.Kind.PART);
        Step drawer = new CopyAtHand("wheel", CopyAtHand.Origin.NEW, "the drawer", "");

        assertThat(job(decided, order, drawer).supply().wants())
                .extracting(Want::state)
                .containsExactly(State.TO_FIT, State.ORDERED);
        assertThat(job(decided, order, drawer, PartOn.plain("wheel")).supply().wants())
                .extracting(Want::state)
                .containsExactly(State.ORDERED);
        assertThat(job(
                                decided(Decision.SEND_OUT),
                                ordered(Ordered.Kind.WORK),
                                new FindingWorked("2", FindingWorked.Outcome.DONE, "done here after all"))
                        .supply()
                        .wants())
                .extracting(Want::state)
                .containsExactly(State.OUT);
    }

    @Test
    void workOutsideComesBackRightOrIsToBeDecidedAgain() {
        Step out = ordered(Ordered.Kind.WORK);
        assertThat(only(job(decided(Decision.SEND_OUT), out)).state()).isEqualTo(State.OUT);
        assertThat(Wait.of(job(decided(Decision.SEND_OUT), out))).containsExactly(Wait.OUTWORK);
        Job back = job(
                decided(Decision.SEND_OUT),
                out,
                new Came(4, Came.Judgement.RIGHT, ""),
                new FindingWorked("2", FindingWorked.Outcome.DONE, "cut"));
        assertThat(only(back).state()).isEqualTo(State.DONE);
        assertThat(back.findings().byKey("2").orElseThrow().isSettled()).isTrue();
    }

    /** Craft 2.10: what would reopen a part kept on a condition is kept with it. */
    @Test
    void conditionThatCameTrueReopensTheFinding() {
        Job kept = job(decided(Decision.REUSE_ON_CONDITION));
        assertThat(only(kept).words()).isEqualTo("if it slips when wound");
        assertThat(kept.findings().byKey("2").orElseThrow().isSettled()).isTrue();

        Job slipped = job(
                decided(Decision.REUSE_ON_CONDITION),
                new FindingWorked("2", FindingWorked.Outcome.FAILED, "it slips at full wind"));
        assertThat(slipped.findings().byKey("2").orElseThrow().wanting())
                .isEqualTo("its condition came true: another decision is wanted");
        assertThat(slipped.supply().wants()).isEmpty();

        Job again = job(
                decided(Decision.REUSE_ON_CONDITION),
                new FindingWorked("2", FindingWorked.Outcome.FAILED, "it slips at full wind"),
                decided(Decision.REUSE_ON_CONDITION));
        assertThat(only(again).state()).isEqualTo(State.CONDITION);
    }

    @Test
    void jewelOfABridgeIsGotAndNotACopyOfTheBridge() {
        Job job = Jobs.of(
                Calibres.small(),
                WorkAgreed.today(WorkAgreed.Work.SERVICE, ""),
                new FindingRaised(
                        "bridge", Grade.BROKEN, Defect.CRACKED, Origin.WEAR, "", new Place(Place.Kind.JEWEL, "upper")),
                new Decided("2", Decision.REPLACE_NEW, "", "drawer"),
                new CopyAtHand("bridge", CopyAtHand.Origin.NEW, "another quarrel", ""));

        assertThat(only(job).state()).as("another bridge is not the jewel").isEqualTo(State.TO_ORDER);
    }

    @Test
    void whatNoFindingAsksForStandsByItself() {
        Job job = job(new Ordered(
                Ordered.Kind.PART, null, null, "Strap, 18 mm", "a saddler on the quay", null, null, null, null));

        assertThat(only(job).state()).isEqualTo(State.ORDERED);
        assertThat(only(job).what()).isEqualTo("Strap, 18 mm");
        assertThat(Wait.of(job)).containsExactly(Wait.PART);
    }

    @ParameterizedTest
    @ValueSource(doubles = {-0.01, 1_000_001, Double.NaN, Double.POSITIVE_INFINITY})
    void priceIsAPrice(double price) {
        assertThatThrownBy(
                        () -> new Ordered(Ordered.Kind.PART, null, null, "Strap", "a saddler", null, null, price, null))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("price");
    }

    @Test
    void orderSaysWhatAndOfWhomAndWhatIsWrongWithIt() {
        assertThatThrownBy(() -> new Ordered(Ordered.Kind.PART, null, null, " ", "x", null, null, null, null))
                .hasMessage("What it is is not said");
        assertThatThrownBy(() -> new Ordered(Ordered.Kind.WORK, null, null, "Dial", "", null, null, null, null))
                .hasMessage("Who works on it is not said");
        assertThatThrownBy(() -> new Came(4, Came.Judgement.WRONG, " "))
                .hasMessage("What is wrong with it is not said");
    }
}
