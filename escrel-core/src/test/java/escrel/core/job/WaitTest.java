package escrel.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Jobs;
import escrel.core.calibre.Calibres;
import escrel.core.condition.Grade;
import escrel.core.handover.HandedOver;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.FindingWorked;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import escrel.core.service.WorkAgreed;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a job waits for follows from its decisions, begins with them and ends with what ends them. */
class WaitTest {
    private static final Step CHIPPED =
            new PartOff("wheel", Grade.MEND, ScrewsFound.AS_ON_SHEET, PartOff.Plan.KEEP, "chipped", "");

    private static Step decided(Decision decision) {
        return new Decided("2", decision, "agreed", "a source");
    }

    private static Set<Wait> waits(Step... more) {
        List<Step> steps = new ArrayList<>(List.of(new WorkAgreed(WorkAgreed.Work.SERVICE, ""), CHIPPED));
        steps.addAll(List.of(more));
        return Wait.of(Jobs.of(Calibres.small(), steps.toArray(Step[]::new)));
    }

    @ParameterizedTest
    @CsvSource({"REPLACE_NEW, PART", "REPLACE_DONOR, PART", "INTERIM, PART", "SEND_OUT, OUTWORK"})
    void decisionThatNeedsSomebodyElseIsWaitedFor(Decision decision, Wait wait) {
        assertThat(waits()).as("nothing was decided").isEmpty();
        assertThat(waits(decided(decision))).containsExactly(wait);
    }

    @ParameterizedTest
    @CsvSource({"REPAIR", "MAKE", "ADJUST", "CLEAN_AND_REUSE", "LEAVE_BY_AGREEMENT"})
    void workAtTheBenchIsNotWaitedFor(Decision decision) {
        assertThat(waits(decided(decision))).isEmpty();
    }

    @Test
    void partThatIsAtHandIsWaitedForNoMore() {
        Step hand = new CopyAtHand("wheel", CopyAtHand.Origin.NEW, "a source", "");

        assertThat(waits(decided(Decision.REPLACE_NEW), hand)).isEmpty();
        assertThat(waits(decided(Decision.REPLACE_NEW), PartOn.plain("wheel"))).isEmpty();
    }

    @Test
    void interimPartThatIsFittedStillWaitsForTheNewOne() {
        assertThat(waits(decided(Decision.INTERIM), PartOn.plain("wheel"))).containsExactly(Wait.PART);
    }

    @Test
    void outworkThatCameBackIsWaitedForNoMore() {
        assertThat(waits(
                        decided(Decision.SEND_OUT),
                        new FindingWorked("2", FindingWorked.Outcome.DONE, "came back true")))
                .isEmpty();
    }

    @Test
    void decisionTakenAnewIsTheOneThatCounts() {
        assertThat(waits(decided(Decision.SEND_OUT), decided(Decision.REPLACE_NEW)))
                .containsExactly(Wait.PART);
    }

    @Test
    void whatWentBackWaitsForNothing() {
        assertThat(waits(decided(Decision.REPLACE_NEW), new HandedOver("sent on, unfinished", List.of())))
                .isEmpty();
    }
}
