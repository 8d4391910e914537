package escrel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Histories;
import escrel.core.diagnosis.StopAnswered.Answer;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.triage.Check;
import escrel.core.triage.Checked;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** From the balance back to the spring. Source: craft 7. */
class WhyStoppedTest {
    private static WhyStopped after(Step... steps) {
        return WhyStopped.of(Histories.of(steps));
    }

    private static StopAnswered said(StopQuestion question, boolean yes) {
        return new StopAnswered(question, yes ? Answer.YES : Answer.NO, "");
    }

    /** Answers in the order in which the tree asks, y or n, and where they lead. */
    @ParameterizedTest
    @CsvSource({"n, BALANCE", "yyn, ESCAPEMENT", "yyy, PERIOD", "ynn, SPRING", "ynyn, TRAIN", "ynyy, BARREL"})
    void everyWayEndsWhereTheHandbookSays(String answers, StopCause cause) {
        List<Step> steps = new ArrayList<>();
        for (char answer : answers.toCharArray()) {
            WhyStopped walk = after(steps.toArray(Step[]::new));
            assertThat(walk.cause()).isNull();
            assertThat(walk.next()).isNotNull();
            steps.add(said(walk.next(), answer == 'y'));
        }
        WhyStopped walk = after(steps.toArray(Step[]::new));
        assertThat(walk.cause()).isEqualTo(cause);
        assertThat(walk.next()).isNull();
        assertThat(walk.way()).hasSize(answers.length());
        assertThat(cause.suspects())
                .isNotEmpty()
                .allSatisfy(s -> assertThat(s.confirm()).isNotBlank());
    }

    @Test
    void whatTheFirstChecksSaidIsNotAskedAgainAndATryHereGoesBefore() {
        Step swings = new Checked(Check.BALANCE_SWINGS, Checked.Outcome.YES, "");

        assertThat(after(swings).next()).isEqualTo(StopQuestion.FORK_SNAPS);
        assertThat(after(swings).way().get(0).known()).isTrue();
        assertThat(after(new Checked(Check.BALANCE_SWINGS, Checked.Outcome.NOT_TRIED, ""))
                        .next())
                .isEqualTo(StopQuestion.BALANCE_FREE);
        assertThat(after(swings, said(StopQuestion.BALANCE_FREE, false)).cause())
                .isEqualTo(StopCause.BALANCE);
    }

    @Test
    void answerThatChangesLeavesTheOthersAsideAndTakenBackTheyReturn() {
        Step free = said(StopQuestion.BALANCE_FREE, true);
        Step snaps = said(StopQuestion.FORK_SNAPS, true);
        Step dead = said(StopQuestion.BALANCE_GOES, false);
        Step notFree = said(StopQuestion.BALANCE_FREE, false);

        WhyStopped changed = after(free, snaps, dead, notFree);
        assertThat(changed.cause()).isEqualTo(StopCause.BALANCE);
        assertThat(changed.way()).hasSize(1);
        assertThat(after(free, snaps, dead, notFree, new TakenBack(4)).cause()).isEqualTo(StopCause.ESCAPEMENT);
    }
}
