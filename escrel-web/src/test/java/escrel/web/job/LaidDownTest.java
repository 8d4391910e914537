package escrel.web.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import escrel.web.ground.Check;
import escrel.web.ground.Home;
import escrel.web.storage.JobLineMapper;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.KeptFolder;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * Two watches that version 8 kept, six pairs of typed readings: rates 2, 1, 2, 2, 0, 2 s/d apart, amplitudes 4, 2, 4, 4, 4, 4°, beat errors
 * 0.1, 0.1, 0.1, 0, 0.2, 0 ms. Pooled (M10): √(8.5 / 6) = 1.19 s/d, √(42 / 6) = 2.65°, √(0.035 / 6) = 0.076 ms.
 */
class LaidDownTest {
    private final Path home = KeptFolder.of("v8");
    private final EscrelServer server = EscrelServer.on(home);
    private final Visitor visitor = new Visitor(server.url());

    @AfterEach
    void close() {
        server.close();
    }

    private String read(int job, String state, String position, String rate, String amplitude) {
        Map<String, Object> form = new HashMap<>(Map.of(
                "seq", visitor.sequence(job), "state", state, "fitted", "CASED", "wound", "FULL", "trace", "CLEAN"));
        form.putAll(Map.of("position", position, "rate", rate, "amplitude", amplitude, "beatError", "0.3"));
        return visitor.post("/jobs/" + job + "/readings/typed", form).body();
    }

    @Test
    void repeatsOfEarlierYearsAreReckonedWithAndMovedOnWithEveryReading() throws IOException {
        await().until(() -> server.bean(JobLineMapper.class).countMissing() == 0);
        String page = visitor.get("/devices").body();
        assertThat(page).contains("1.2 s/d", "2.6°", "0.08 ms", "from 6 repeats; reckoned with", "1.5 s/d", "4.0°");
        assertThat(Check.of(new Home(home)).faults()).isEmpty();

        read(1, "FINAL_CASED", "DIAL_UP", "+2", "280");
        assertThat(visitor.get("/jobs/1/turn").body()).contains("1.2 s/d of your own, from 6 repeats (usual 1.5 s/d)");

        // one more pair, 4 s/d apart: √(16.5 / 7)
        read(1, "FINAL_CASED", "DIAL_UP", "+6", "280");
        assertThat(visitor.get("/devices").body()).contains("1.5 s/d", "from 7 repeats; reckoned with");
        assertThat(server.bean(LaidDown.class).repeatability().rateSecondsPerDay())
                .isCloseTo(Math.sqrt(16.5 / 7), within(1e-9));

        // taken back, it counts no more
        visitor.post("/jobs/1/undo", Map.of("room", "readings", "seq", visitor.sequence(1)));
        assertThat(visitor.get("/devices").body()).contains("from 6 repeats; reckoned with");
    }
}
