package escrel.core.decision;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.assembly.TestMade;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.decision.BenchTimes.Worked;
import escrel.core.parts.Decided;
import escrel.core.parts.Decision;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.FindingWorked;
import escrel.core.service.JobHistory;
import escrel.core.service.PhotoAdded;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Times of the bench, from what was recorded. */
class BenchTimesTest {
    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");
    private final List<RecordedStep> steps = new ArrayList<>();
    private Instant now = NINE;

    private BenchTimesTest after(int minutes, Step step) {
        now = now.plus(Duration.ofMinutes(minutes));
        steps.add(new RecordedStep(steps.size() + 1, now, step));
        return this;
    }

    private JobHistory history() {
        return JobHistory.of(steps);
    }

    private static FindingRaised finding() {
        return new FindingRaised("wheel", Grade.MEND, Defect.WORN, Origin.WEAR, "pivot");
    }

    private static Step act() {
        return new TestMade("click", TestMade.Outcome.PASSED, "");
    }

    @Test
    void pieceOfWorkTookTheTimeSinceTheActBefore() {
        after(0, finding())
                .after(3, new Decided("1", Decision.REPAIR, "burnished", ""))
                .after(10, act())
                .after(20, new PhotoAdded(1, "wheel", "half-way"))
                .after(25, new FindingWorked("1", FindingWorked.Outcome.DONE, ""));
        // a photo stands for itself and ends nothing: 45 minutes since the act before
        assertThat(BenchTimes.ofJob(history())).containsExactly(new Worked(5, Decision.REPAIR, 45));
        // and the whole is 3 + 10 + 45
        assertThat(BenchTimes.minutesOf(history())).isEqualTo(58);
    }

    @ParameterizedTest
    @CsvSource({"0, false", "1, true", "240, true", "241, false"})
    void whatWasWrittenDownAtOnceOrMuchLaterWasNotTimed(int minutes, boolean timed) {
        after(0, finding())
                .after(3, new Decided("1", Decision.ADJUST, "", ""))
                .after(minutes, new FindingWorked("1", FindingWorked.Outcome.DONE, ""));
        assertThat(BenchTimes.ofJob(history()).size()).isEqualTo(timed ? 1 : 0);
    }

    @Test
    void failedAndTakenBackWorkTimesNothingAndTheLatestDecisionNamesIt() {
        after(0, finding())
                .after(1, new Decided("1", Decision.ADJUST, "", ""))
                .after(30, new FindingWorked("1", FindingWorked.Outcome.FAILED, "slipped"))
                .after(1, new Decided("1", Decision.REPAIR, "", ""))
                .after(50, new FindingWorked("1", FindingWorked.Outcome.DONE, ""));
        assertThat(BenchTimes.ofJob(history())).containsExactly(new Worked(5, Decision.REPAIR, 50));
        after(1, new TakenBack(5));
        assertThat(BenchTimes.ofJob(history())).isEmpty();
    }

    @Test
    void pausesOfTheBenchDoNotCountAndLongWorkDoes() {
        after(0, act())
                .after(30, act())
                .after(31, act())
                .after(5, finding())
                .after(2, new Decided("4", Decision.MAKE, "", ""))
                .after(170, new FindingWorked("4", FindingWorked.Outcome.DONE, ""))
                .after(24 * 60, act());
        assertThat(BenchTimes.minutesOf(history())).isEqualTo(30 + 5 + 2 + 170);
    }

    @Test
    void middleOfThreeAndMoreTakesThePlaceOfTheAssumption() {
        List<Worked> two = IntStream.of(20, 90)
                .mapToObj(m -> new Worked(9, Decision.REPAIR, m))
                .toList();
        assertThat(BenchTimes.of(two).minutes(Decision.REPAIR)).isEmpty();
        List<Worked> three = new ArrayList<>(two);
        three.add(new Worked(9, Decision.REPAIR, 33));
        assertThat(BenchTimes.of(three).minutes(Decision.REPAIR)).hasValue(35);
        assertThat(BenchTimes.of(three).timed(Decision.REPAIR)).isEqualTo(3);
        assertThat(BenchTimes.of(three).minutes(Decision.ADJUST)).isEmpty();
    }
}
