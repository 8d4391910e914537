package escrel.web.desk;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.comparison.Repeatability;
import escrel.core.timing.readings.Position;
import escrel.simulator.pickup.Room;
import escrel.simulator.pickup.SimulatedPickup;
import escrel.simulator.pickup.Swinging;
import escrel.web.job.Workshop;
import escrel.web.storage.Json;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** M10: typed rates count beyond 2·√(2·1.5² + 2·1²) = 5.1 s/d, so that one of 5 is close, one of 30 is not. */
class LayAgainTest {
    private static final int PIECE = 6_615;

    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());
    private final int job = visitor.openJob("Tidewell pier clock-watch", "cv-12");

    private void read(String state, Position position, String rate) {
        Map<String, Object> form =
                new HashMap<>(Map.of("seq", visitor.sequence(job), "state", state, "fitted", "CASED", "wound", "FULL"));
        form.putAll(Map.of("position", position, "rate", rate));
        visitor.post("/jobs/" + job + "/readings/typed", form);
    }

    private String words(Position position) {
        return LayAgain.words(server.bean(Workshop.class).load(job), position, Repeatability.DEFAULT);
    }

    @BeforeEach
    void receivedAndFinished() {
        read("AS_RECEIVED", Position.DIAL_UP, "-12");
        read("AS_RECEIVED", Position.DIAL_DOWN, "-30");
        read("FINAL_CASED", Position.DIAL_UP, "-7");
        read("FINAL_CASED", Position.DIAL_DOWN, "+1");
        read("FINAL_CASED", Position.CROWN_UP, "+2");
    }

    @Test
    void onlyWhatIsCloseToTheNoiseIsToBeLaidDownAgain() {
        assertThat(words(Position.DIAL_UP)).contains("Close to the noise: rate +5.0 ± 5.", "Lay it down again (7)");
        assertThat(words(Position.DIAL_DOWN)).isEmpty();
        assertThat(words(Position.CROWN_UP)).as("not read before").isEmpty();
    }

    @Test
    void twiceIsEnough() {
        read("FINAL_CASED", Position.DIAL_UP, "-8");

        assertThat(words(Position.DIAL_UP)).isEmpty();
    }

    @Test
    void whatIsReadBeforeTheServiceIsComparedWithNothing() {
        int other = visitor.openJob("Tidewell pier clock-watch, the second", "cv-12");
        Map<String, Object> form = new HashMap<>(
                Map.of("seq", visitor.sequence(other), "state", "AS_RECEIVED", "fitted", "CASED", "wound", "FULL"));
        form.putAll(Map.of("position", Position.DIAL_UP, "rate", "-12"));
        visitor.post("/jobs/" + other + "/readings/typed", form);

        assertThat(LayAgain.words(server.bean(Workshop.class).load(other), Position.DIAL_UP, Repeatability.DEFAULT))
                .isEmpty();
    }

    /** A reading of before that comes late is no reading of after: nothing is said of the one that stands close. */
    @Test
    void aLateReadingOfBeforeTheServiceAsksForNothing() {
        read("AS_RECEIVED", Position.DIAL_UP, "-12");

        assertThat(words(Position.DIAL_UP)).isEmpty();
    }

    /** Through the desk's own door: typed before, heard after. Exact clock against a typed figure: the limit lies near 4.7 s/d. */
    @Test
    void theDeskSaysItWithTheReadingItTakes() {
        int heard = visitor.openJob("Tidewell pier clock-watch, heard", "cv-12");
        Map<String, Object> form = new HashMap<>(
                Map.of("seq", visitor.sequence(heard), "state", "AS_RECEIVED", "fitted", "CASED", "wound", "FULL"));
        form.putAll(Map.of("position", Position.DIAL_UP, "rate", "+1.3", "amplitude", "180"));
        visitor.post("/jobs/" + heard + "/readings/typed", form);
        String id = Json.MAPPER
                .readTree(visitor.post(
                                "/jobs/" + heard + "/desk/open", Map.of("sampleRate", "44100", "simulated", "true"))
                        .body())
                .path("id")
                .asString("");
        Swinging swinging = new Swinging(BeatRate.of(18_000), LiftAngle.known(50), 6, 255, 1.2, 0);
        float[] sound =
                new SimulatedPickup(44_100, 7).listen(swinging, Room.QUIET, 18).samples();
        DeskSession session = server.bean(DeskSessions.class).hearing(heard, id);
        for (int i = 0; i + PIECE <= sound.length; i += PIECE) {
            session.hear(Arrays.copyOfRange(sound, i, i + PIECE), Long.MAX_VALUE);
        }

        String row = visitor.post(
                        "/jobs/" + heard + "/desk/" + id + "/take",
                        Map.of("state", "FINAL_CASED", "fitted", "CASED", "wound", "FULL", "position", "DIAL_UP"))
                .body();

        assertThat(row)
                .contains("Close to the noise: rate +4.", "Lay it down again (7)")
                .doesNotContain("amplitude +");
    }
}
