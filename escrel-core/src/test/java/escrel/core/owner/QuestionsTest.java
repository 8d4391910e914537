package escrel.core.owner;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.Histories;
import escrel.core.Jobs;
import escrel.core.job.Wait;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import org.junit.jupiter.api.Test;

class QuestionsTest {
    private static final OwnerAsked LUME = new OwnerAsked("May the lume stay?", null, null);
    private static final OwnerAnswered YES = new OwnerAnswered(1, OwnerAnswered.Answer.ACCEPTED, "");

    private static Questions questions(Step... steps) {
        return Questions.of(Histories.of(steps));
    }

    @Test
    void jobWaitsForTheOwnerUntilTheAnswerIsThereAndAgainWhenItIsTakenBack() {
        assertThat(Wait.of(Jobs.of(null, LUME))).containsExactly(Wait.OWNER);
        assertThat(Wait.of(Jobs.of(null, LUME, YES))).isEmpty();
        assertThat(Wait.of(Jobs.of(null, LUME, YES, new TakenBack(2)))).containsExactly(Wait.OWNER);
        assertThat(questions(LUME, new TakenBack(1), new OwnerAnswered(1, OwnerAnswered.Answer.DECLINED, ""))
                        .all())
                .isEmpty();
    }

    @Test
    void laterAnswerTakesThePlaceOfTheEarlierOne() {
        OwnerAnswered part = new OwnerAnswered(1, OwnerAnswered.Answer.IN_PART, "the dial only");

        assertThat(questions(LUME, YES, part).all().get(0).answer()).isEqualTo(part);
        assertThat(questions(LUME, YES, part).open()).isEmpty();
    }

    @Test
    void estimateIsARange() {
        assertThat(new Estimate(4, 6, 60, 85).words()).isEqualTo("325 to 445");
        assertThat(new Estimate(4, 6.5, 60, 85).made()).isEqualTo("4 to 6.5 hours at 60, parts 85");
        assertThat(new Estimate(4, 4, 60, 0).words()).isEqualTo("240");
        assertThatThrownBy(() -> new Estimate(6, 4, 60, 0)).hasMessageContaining("low to high");
        assertThatThrownBy(() -> new Estimate(1, 2, -1, 0)).hasMessageContaining("0 and more");
        assertThatThrownBy(() -> new Estimate(Double.NaN, 2, 1, 0)).hasMessageContaining("low to high");
    }

    @Test
    void emptyQuestionsAndAnswersWithoutTheirWordsAreRefused() {
        assertThatThrownBy(() -> new OwnerAsked("  ", null, null)).hasMessageContaining("1 to 2000");
        assertThatThrownBy(() -> new OwnerAnswered(1, OwnerAnswered.Answer.IN_PART, " "))
                .hasMessageContaining("wants the words");
    }
}
