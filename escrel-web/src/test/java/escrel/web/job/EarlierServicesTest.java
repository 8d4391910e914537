package escrel.web.job;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.service.CalibreBound;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.ReadingState;
import escrel.web.storage.Sheets;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.TypedReading;
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
        record(first, TypedReading.of(ReadingState.AS_RECEIVED, 90));
        assertThat(ratesBefore(second)).isEmpty();

        record(first, TypedReading.of(ReadingState.FINAL_CASED, 4));
        assertThat(ratesBefore(second)).containsExactly(4.0);
        assertThat(ratesBefore(first)).isEmpty();
        assertThat(ratesBefore(other)).isEmpty();

        // read again, later and otherwise; then that is taken back
        record(first, TypedReading.of(ReadingState.FINAL_CASED, 6));
        assertThat(ratesBefore(second)).containsExactly(6.0);
        record(first, new TakenBack(workshop.load(first).sequence()));
        assertThat(ratesBefore(second)).containsExactly(4.0);
        assertThat(earlier.of(workshop.load(second))).containsExactly(first);
    }

    @Test
    void erasureOfTheOwnerLeavesTheReadingsAndAnotherCalibreIsAnotherWatch() {
        int first = visitor.openJob("Owned watch", "");
        int second = visitor.openJob("Owned watch", "");
        record(first, TypedReading.of(ReadingState.FINAL_CASED, 5));
        assertThat(ratesBefore(second)).containsExactly(5.0);
        SERVER.bean(Sheets.class).keep(BenchHand.demoSheet("cv-12"));
        SERVER.bean(Sheets.class).keep(BenchHand.demoSheet("cv-24"));
        record(second, new CalibreBound("cv-12", 1));
        // the earlier one is still unknown: it may be the same
        assertThat(ratesBefore(second)).containsExactly(5.0);
        record(first, new CalibreBound("cv-24", 1));
        assertThat(ratesBefore(second)).isEmpty();
        record(first, new TakenBack(workshop.load(first).sequence()));

        SERVER.bean(OwnersData.class).erase(workshop.load(first).arrival().owner());

        assertThat(ratesBefore(second)).containsExactly(5.0);
        assertThat(workshop.load(second).arrival().owner()).isEqualTo(OwnersData.ERASED);
    }
}
