package escrel.web.desk;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.storage.Json;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The doors of the desk: what is asked wrongly is answered in words and costs nothing. */
class DeskDoorTest {
    private final Visitor visitor = new Visitor(EscrelServer.demo().url());
    private int job;

    @BeforeEach
    void openAJob() {
        job = visitor.openJob("Desk door watch", "cv-12");
    }

    private String opened(String device) {
        String body = visitor.post("/jobs/" + job + "/desk/open", Map.of("sampleRate", "44100", "device", device))
                .body();
        return Json.MAPPER.readTree(body).path("id").asString("");
    }

    @Test
    void nothingIsTakenWhileNothingWasHeard() {
        HttpResponse<String> answer = visitor.post(
                "/jobs/" + job + "/desk/" + opened("mic") + "/take", Map.of("state", "RUN_IN", "position", "DIAL_UP"));

        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("There is no reading to take yet", "Nothing was recorded");
        assertThat(visitor.get("/jobs/" + job + "/readings.csv").body().lines()).hasSize(1);
    }

    @Test
    void aClosedListeningIsSaidToHaveEnded() {
        String id = opened("mic");
        visitor.post("/jobs/" + job + "/desk/" + id + "/close", Map.of());

        assertThat(visitor.post("/jobs/" + job + "/desk/" + id + "/again", Map.of())
                        .body())
                .contains("This listening has ended");
        // nor does another job's page reach it
        String other = opened("mic");
        assertThat(visitor.post("/jobs/1/desk/" + other + "/again", Map.of()).statusCode())
                .isEqualTo(422);
    }

    @ParameterizedTest
    @CsvSource({"100, cannot be used", "999999, cannot be used", "fast, could not be read"})
    void impossibleSampleRatesAreRefused(String rate, String words) {
        assertThat(visitor.post("/jobs/" + job + "/desk/open", Map.of("sampleRate", rate))
                        .body())
                .contains(words);
    }

    @Test
    void anUncalibratedDeviceIsSaidToBeOne() {
        assertThat(visitor.post("/jobs/" + job + "/desk/open", Map.of("sampleRate", "48000", "device", "thin mic"))
                        .body())
                .contains("\"calibrated\":false", "“thin mic” not calibrated");
        assertThat(visitor.post(
                                "/jobs/" + job + "/desk/open",
                                Map.of("sampleRate", "44100", "simulated", "true", "device", "x"))
                        .body())
                .contains("keeps exact time");
    }

    @Test
    void positionsAreOrderedByFewestTurns() {
        assertThat(visitor.get("/jobs/" + job + "/desk/order?position=DIAL_DOWN&position=CROWN_UP&position=DIAL_UP")
                        .body())
                .isEqualTo("[\"DIAL_UP\",\"CROWN_UP\",\"DIAL_DOWN\"]");
    }

    @Test
    void theDeskGoesOnWhereTheLastReadingsWereTaken() {
        assertThat(visitor.get("/jobs/2/desk").body())
                .containsPattern("value=\"RUN_IN\"[^>]*selected")
                .contains("+7.0", "271")
                .as("not what was read before the movement was opened again")
                .doesNotContain("278 ± 1");
        assertThat(visitor.get("/jobs/4/desk").body()).containsPattern("value=\"FINAL_CASED\"[^>]*selected");
        assertThat(visitor.get("/jobs/4/desk?state=RUN_IN&wound=AFTER_HOURS&woundHours=many")
                        .body())
                .contains("no number from 0 to 200");
    }

    @Test
    void simulatedWatchesAreOfferedWithWhatACompassSaysOfThem() {
        assertThat(visitor.get("/simulated/watches").body())
                .contains("HEALTHY", "freshly serviced", "MAGNETISED", "STRONGLY");
        assertThat(visitor.get("/simulated/jobs/" + job
                                + "/sound?watch=HEALTHY&position=DIAL_UP&from=0&seconds=0.5&seed=1")
                        .headers()
                        .firstValue("content-type"))
                .hasValue("application/octet-stream");
    }
}
