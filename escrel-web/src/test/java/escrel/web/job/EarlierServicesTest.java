package escrel.web.job;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** What is known of earlier services is what they say now. */
class EarlierServicesTest {
    private static final EscrelServer SERVER = EscrelServer.empty();

    private final Workshop workshop = SERVER.bean(Workshop.class);
    private final EarlierServices earlier = SERVER.bean(EarlierServices.class);
    private final Visitor visitor = new Visitor(SERVER.url());

    @AfterAll
    static void stop() {
        SERVER.close();
    }

    private static ReadingTaken read(ReadingState state, double rate) {
        Reading reading = new Reading(
                Position.DIAL_UP,
                Measured.single(rate),
                Measured.single(270),
                null,
                null,
                LiftAngle.known(50),
                BeatRate.of(18_000),
                Source.TYPED,
                Trace.CLEAN,
                "");
        return new ReadingTaken(state, Fitted.CASED, Wound.FULL, reading);
    }

    private void record(int job, Step step) {
        workshop.append(job, workshop.load(job).sequence(), step);
    }

    private List<Double> ratesBefore(int job) {
        return earlier.left(workshop.load(job)).stream()
                .map(left -> left.readings().in(Position.DIAL_UP).orElseThrow().rateSecondsPerDay())
                .map(rate -> Objects.requireNonNull(rate).value())
                .toList();
    }

    @Test
    void whatAnEarlierServiceIsLeftWithFollowsWhatIsRecordedOfItLater() {
        int first = visitor.openJob("Twice here", "");
        int second = visitor.openJob("Twice here", "");
        int other = visitor.openJob("Another", "");
        record(first, read(ReadingState.AS_RECEIVED, 90));
        assertThat(ratesBefore(second)).isEmpty();

        record(first, read(ReadingState.FINAL_CASED, 4));
        assertThat(ratesBefore(second)).containsExactly(4.0);
        assertThat(ratesBefore(first)).isEmpty();
        assertThat(ratesBefore(other)).isEmpty();

        // read again, later and otherwise; then that is taken back
        record(first, read(ReadingState.FINAL_CASED, 6));
        assertThat(ratesBefore(second)).containsExactly(6.0);
        record(first, new TakenBack(workshop.load(first).sequence()));
        assertThat(ratesBefore(second)).containsExactly(4.0);
        assertThat(earlier.of(workshop.load(second))).containsExactly(first);
    }
}
