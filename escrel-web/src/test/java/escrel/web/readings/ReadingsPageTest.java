package escrel.web.readings;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.Recordings;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReadingsPageTest {
    private final Visitor visitor = new Visitor(EscrelServer.demo().url());
    private int job;

    @BeforeEach
    void openAJob() {
        job = visitor.openJob("Readings watch", "");
    }

    private String typed(String position, String rate, String amplitude, String beatError) {
        return visitor.post(
                        "/jobs/" + job + "/readings/typed",
                        Map.of(
                                "seq",
                                visitor.sequence(job),
                                "state",
                                "AS_RECEIVED",
                                "fitted",
                                "CASED",
                                "wound",
                                "FULL",
                                "position",
                                position,
                                "rate",
                                rate,
                                "amplitude",
                                amplitude,
                                "beatError",
                                beatError,
                                "trace",
                                "WANDERING"))
                .body();
    }

    @Test
    void typedValuesAndRangesWithCommaOrMinusSign() {
        typed("DIAL_UP", "−3,5", "250 to 262", "");
        String page = typed("DIAL_DOWN", "+4", "", "1.2");

        assertThat(page).contains("−3.5", "250 … 262", "+4.0", "1.2", "typed");
        assertThat(page).contains("crown up, crown down, crown left, crown right"); // named, never filled in
    }

    /** What a form leaves out is never filled in for the person: it stands as not said, or there is no reading. */
    @Test
    void whatWasFittedAndWoundStandsAsNotSaidWhenTheFormLeavesItOut() {
        visitor.post(
                "/jobs/" + job + "/readings/typed",
                Map.of("seq", visitor.sequence(job), "state", "AS_RECEIVED", "position", "DIAL_UP", "rate", "12"));

        assertThat(visitor.get("/jobs/" + job + "/readings.csv").body()).contains(",NOT_SAID,", ",UNKNOWN,");
        assertThat(visitor.get("/jobs/" + job + "/readings").body())
                .containsPattern("value=\"NOT_SAID\"[^>]*selected")
                .containsPattern("value=\"UNKNOWN\"[^>]*selected");
    }

    @ParameterizedTest
    @CsvSource({"state, It is not said at which moment", "position, It is not said in which position"})
    void readingWithoutMomentOrPositionIsRefused(String left, String words) {
        Map<String, Object> form = new HashMap<>(
                Map.of("seq", visitor.sequence(job), "state", "RUN_IN", "position", "DIAL_UP", "rate", "12"));
        form.remove(left);
        int before = visitor.sequence(job);

        HttpResponse<String> answer = visitor.post("/jobs/" + job + "/readings/typed", form);

        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(words);
        assertThat(visitor.sequence(job)).isEqualTo(before);
    }

    @Test
    void nonRunnerIsRecordedAsSuch() {
        HttpResponse<String> page = visitor.post(
                "/jobs/" + job + "/readings/none",
                Map.of("seq", visitor.sequence(job), "state", "AS_RECEIVED", "words", "wound, shaken gently"));

        assertThat(page.body()).contains("It did not run.", "wound, shaken gently");
    }

    @Test
    void recordingOfAnUnknownCalibreSaysThatTheLiftAngleIsAssumed() {
        String page = visitor.upload(
                        "/jobs/" + job + "/readings/recording",
                        Map.of(
                                "seq", visitor.sequence(job),
                                "state", "AS_RECEIVED",
                                "fitted", "CASED",
                                "wound", "FULL",
                                "position", "DIAL_UP"),
                        "sound",
                        "tick.wav",
                        Recordings.cv12(14.5, 250))
                .body();

        assertThat(page)
                .contains("+14.", ">260 ± &lt;1<", "lift 52° assumed", "18000 beats per hour", "What was heard");
        // bound later, the same sound is worked out again for the lift angle of the sheet
        visitor.post("/jobs/" + job + "/calibre", Map.of("seq", visitor.sequence(job), "calibre", "cv-12"));
        assertThat(visitor.get("/jobs/" + job + "/readings").body())
                .contains(">250 ± &lt;1<")
                .doesNotContain("lift 52° assumed");
        assertThat(visitor.get("/jobs/" + job + "/readings.csv").body())
                .contains("AS_RECEIVED,CASED,FULL,,NOT_SAID,DU,14.", ",50.0,false,18000.0,RECORDING");
    }

    @Test
    void jobBoundToItsCalibreLaterKeepsItsReadings() {
        typed("DIAL_UP", "-8", "230", "0.8");

        visitor.post("/jobs/" + job + "/calibre", Map.of("seq", visitor.sequence(job), "calibre", "cv-12"));

        assertThat(visitor.get("/jobs/" + job + "/readings").body()).contains("−8.0", "Lift angle 50°");
    }
}
