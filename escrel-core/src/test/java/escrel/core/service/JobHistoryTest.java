package escrel.core.service;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

class JobHistoryTest {
    private static RecordedStep at(int sequence, Step step) {
        return new RecordedStep(sequence, Instant.EPOCH, step);
    }

    private final Step one = new Noted(null, "one");
    private final Step two = new Noted(null, "two");

    @Test
    void takenBackStepStaysOnRecordAndNoLongerCounts() {
        JobHistory history = JobHistory.of(List.of(at(1, one), at(2, two), at(3, new TakenBack(2))));

        assertThat(history.recorded()).hasSize(3);
        assertThat(history.all(Noted.class)).containsExactly((Noted) one);
        assertThat(history.nextToTakeBack())
                .hasValueSatisfying(s -> assertThat(s.sequence()).isEqualTo(1));
        assertThat(history.lastSequence()).isEqualTo(3);
    }

    @Test
    void gapIsRefusedWithItsPlace() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> JobHistory.of(List.of(at(1, one), at(3, two))))
                .withMessageContaining("step 2 is missing");
    }

    @Test
    void takingBackALaterStepIsRefused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> JobHistory.of(List.of(at(1, one), at(2, new TakenBack(5)))))
                .withMessageContaining("step 5");
    }

    @Test
    void emptyHistoryHasNothing() {
        assertThat(JobHistory.empty().nextToTakeBack()).isEmpty();
        assertThat(JobHistory.empty().lastSequence()).isZero();
    }
}
