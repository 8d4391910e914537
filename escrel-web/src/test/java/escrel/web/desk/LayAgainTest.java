package escrel.web.desk;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.timing.comparison.Repeatability;
import escrel.core.timing.readings.Position;
import escrel.web.job.Workshop;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** M10: typed rates count beyond 2·√(2·1.5² + 2·1²) = 5.1 s/d, so that one of 5 is close, one of 30 is not. */
class LayAgainTest {
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
}
