package escrel.web.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.web.storage.Json;
import escrel.web.testing.Recordings;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

class AnalyseCommandTest {
    private int status;

    private JsonNode run(String... args) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        status = AnalyseCommand.run(args, new PrintStream(out, true, StandardCharsets.UTF_8));
        return Json.MAPPER.readTree(out.toString(StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @ValueSource(strings = {"auto", "18000"})
    void oneObjectWithEveryPromisedField(String beats) {
        String file = Recordings.cv12File(9, 265).toString();

        JsonNode answer = run(file, "--bph", beats, "--lift-angle", "50", "--json");

        assertThat(status).isZero();
        assertThat(answer.path("beatsPerHour").asDouble()).isEqualTo(18_000);
        assertThat(answer.path("rateSecondsPerDay").asDouble()).isCloseTo(9, within(0.5));
        assertThat(answer.path("amplitudeDegrees").asDouble()).isCloseTo(265, within(3.0));
        for (String field : new String[] {
            "rateStandardError",
            "amplitudeStandardError",
            "beatErrorMillis",
            "beatErrorStandardError",
            "beatsDetected",
            "beatsMissed",
            "seconds"
        }) {
            assertThat(answer.path(field).isNumber()).as(field).isTrue();
        }
    }

    @Test
    void refusesWithStatusTwoAndOneErrorOnly() {
        JsonNode missing = run("nowhere.wav", "--json");
        assertThat(status).isEqualTo(2);
        assertThat(missing.path("error").asString()).contains("nowhere.wav");

        JsonNode another = run(Recordings.cv12File(9, 265).toString(), "--bph", "28800", "--json");
        assertThat(status).isEqualTo(2);
        assertThat(another.propertyNames()).containsExactly("error");
        assertThat(another.path("error").asString()).contains("28800", "about 18000");
    }

    @Test
    void wrongWordsAreNamed() {
        assertThat(run("--bph").path("error").asString()).contains("--bph wants a value");
        assertThat(run("x.wav", "--bph", "fast").path("error").asString()).contains("“fast” is no number");
        assertThat(run("--louder").path("error").asString()).contains("--louder is not known");
        assertThat(status).isEqualTo(2);
    }
}
