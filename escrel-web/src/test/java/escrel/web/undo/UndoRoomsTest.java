package escrel.web.undo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.handover.HandedOver;
import escrel.core.handover.Stage;
import escrel.core.service.StepKind;
import escrel.core.timing.readings.ReadingTaken;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Each room takes back what was done in it, says beforehand what that is, and does it again. */
class UndoRoomsTest {
    private static final EscrelServer SERVER = EscrelServer.demo();

    private final Visitor visitor = new Visitor(SERVER.url());
    private final Workshop workshop = SERVER.bean(Workshop.class);

    private HttpResponse<String> undo(int job, String room, boolean again) {
        return visitor.post(
                "/jobs/" + job + "/undo", Map.of("seq", visitor.sequence(job), "room", room, "again", again));
    }

    @Test
    void readingIsSaidTakenBackAndDoneAgain() {
        int job = visitor.openJob("Undone watch", "");
        visitor.post(
                "/jobs/" + job + "/readings/typed",
                Map.of("seq", visitor.sequence(job), "state", "AS_RECEIVED", "position", "DIAL_UP", "rate", "12"));
        OpenJob read = workshop.load(job);
        assertThat(visitor.get("/jobs/" + job + "/readings").body()).contains("take back: ");

        assertThat(undo(job, StepKind.READINGS, false).body()).contains("Taken back: ", "do again");
        assertThat(workshop.load(job).history().all(ReadingTaken.class)).isEmpty();
        assertThat(workshop.load(job).stage()).isEqualTo(Stage.ARRIVED);

        assertThat(undo(job, StepKind.READINGS, true).body()).contains("Done again: ");
        assertThat(workshop.load(job).readings()).isEqualTo(read.readings());
        assertThat(undo(job, StepKind.READINGS, true).statusCode()).isEqualTo(422);
    }

    @Test
    void handOverIsTakenBackWhereItWasMadeAndNowhereElse() {
        int job = Stripped.cv12(SERVER, 3);
        workshop.append(job, workshop.load(job).sequence(), new HandedOver("called for", List.of()));
        BenchHand hand = new BenchHand(SERVER, job);

        hand.post("/strip/undo", Map.of());
        assertThat(workshop.load(job).stage()).isEqualTo(Stage.HANDED_OVER);
        assertThat(workshop.load(job).teardown().order())
                .as("the three that came off in one act before it go instead")
                .isEmpty();
        assertThat(undo(job, StepKind.INSPECT, false).statusCode()).isEqualTo(422);

        assertThat(undo(job, StepKind.HANDOVER, false).statusCode()).isEqualTo(200);
        assertThat(workshop.load(job).stage()).isEqualTo(Stage.ARRIVED);
    }

    @Test
    void roomThatIsNoneIsRefused() {
        int job = visitor.openJob("Roomless watch", "");
        assertThat(visitor.post("/jobs/" + job + "/undo", Map.of("seq", visitor.sequence(job), "room", "cellar"))
                        .statusCode())
                .isEqualTo(422);
    }
}
