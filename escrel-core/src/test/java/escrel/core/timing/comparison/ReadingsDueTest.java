package escrel.core.timing.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.Histories;
import escrel.core.quantity.Measured;
import escrel.core.service.JobHistory;
import escrel.core.service.OpenItem;
import escrel.core.service.Step;
import escrel.core.service.Tally;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Intervened;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Wound;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The readings with which a watch leaves come after the last thing that was done to it. */
class ReadingsDueTest {
    private static final Step FINAL = new ReadingTaken(
            ReadingState.FINAL_CASED,
            Fitted.CASED,
            Wound.FULL,
            ReadingSets.reading(Position.DIAL_UP, Measured.single(4), 270));
    private static final Step SERVICE = new WorkAgreed(WorkAgreed.Work.SERVICE, "");

    private static Tally after(int movedAt, Step... steps) {
        JobHistory history = Histories.of(steps);
        return ReadingsDue.tally(history, movedAt);
    }

    @ParameterizedTest
    @EnumSource(WorkAgreed.Work.class)
    void onlyWorkThatEndsWithReadingsAsksForThem(WorkAgreed.Work work) {
        assertThat(after(0, new WorkAgreed(work, "")).open()).hasSize(work.endsWithReadings() ? 1 : 0);
    }

    @Test
    void nobodyAskedWhatWasNeverAgreed() {
        assertThat(after(0, FINAL).open()).isEmpty();
        assertThat(after(0).settled()).contains("no final reading was agreed");
    }

    @Test
    void readAfterTheLastPartWentOnTheyAreThere() {
        assertThat(after(1, SERVICE, FINAL).open()).isEmpty();
    }

    @Test
    void aPartThatMovedSinceMakesThemOld() {
        assertThat(after(3, SERVICE, FINAL).open())
                .extracting(OpenItem::words)
                .containsExactly("the final readings are older than the last thing that was done");
    }

    @Test
    void soDoesRegulatingAndDemagnetising() {
        assertThat(after(0, SERVICE, FINAL, new Intervened(Intervened.What.REGULATOR_MOVED, ""))
                        .open())
                .hasSize(1);
        assertThat(after(0, SERVICE, FINAL, new Demagnetised(3, "")).open()).hasSize(1);
        assertThat(after(0, SERVICE, FINAL, new Demagnetised(3, ""), FINAL).open())
                .isEmpty();
    }

    /** A waiver names what was open then: after another act it is another item. */
    @Test
    void everyActOwesReadingsOfItsOwn() {
        String first = after(0, SERVICE, new Demagnetised(3, "")).open().get(0).key();
        String second = after(0, SERVICE, new Demagnetised(3, ""), new Demagnetised(2, ""))
                .open()
                .get(0)
                .key();

        assertThat(second).isNotEqualTo(first);
    }
}
