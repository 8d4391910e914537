package escrel.web.dossier;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.storage.Json;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.node.ObjectNode;

/** A job out and in again is the same job. */
class DossierTest {
    private final Visitor visitor = new Visitor(EscrelServer.demo().url());

    private static String take(Visitor there, String dossier) {
        HttpResponse<String> page =
                there.upload("/jobs/import", Map.of(), "dossier", "d.json", dossier.getBytes(StandardCharsets.UTF_8));
        assertThat(page.body()).contains("The dossier was taken in as job");
        return page.uri().getPath().replaceAll("\\D", "");
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 4, 5, 8})
    void besideItselfItIsTheSameButForItsNumber(int job) {
        ObjectNode out = (ObjectNode) Json.MAPPER.readTree(
                visitor.get("/jobs/" + job + "/dossier.json").body());

        // under an identity of its own it is another job
        String identity = UUID.randomUUID().toString();
        String copy = take(visitor, out.deepCopy().put("identity", identity).toString());
        ObjectNode back = (ObjectNode) Json.MAPPER.readTree(
                visitor.get("/jobs/" + copy + "/dossier.json").body());

        assertThat(Integer.parseInt(copy)).isNotEqualTo(job);
        back.put("number", job);
        out.put("identity", identity);
        assertThat(back).isEqualTo(out);
    }

    @Test
    void inAnEmptyWorkshopItKeepsItsNumberItsSheetAndItsPhotos() {
        String out = visitor.get("/jobs/5/dossier.json").body();
        String pocketWatch = visitor.get("/jobs/1/dossier.json").body();
        try (EscrelServer other = EscrelServer.empty()) {
            Visitor there = new Visitor(other.url());

            assertThat(take(there, out)).isEqualTo("5");
            assertThat(take(there, pocketWatch)).isEqualTo("1");
            assertThat(there.get("/jobs/5/dossier.json").body()).isEqualTo(out);
            assertThat(there.get("/jobs/1/dossier.json").body()).isEqualTo(pocketWatch);
            assertThat(there.get("/calibres").body()).contains("Corvane CV-12", "Lanthorn L-43");
            assertThat(there.get("/jobs/1/photos/1").headers().firstValue("Content-Type"))
                    .isPresent();
            assertThat(there.get("/jobs/5/climb").body()).contains("Third wheel");
        }
    }

    @Test
    void readingsAsCsvHaveOneRowAReadingAndUnitsInTheirNames() {
        String[] rows = visitor.get("/jobs/1/readings.csv").body().split("\r\n");

        assertThat(rows).hasSize(13);
        assertThat(rows[0]).contains("rate_seconds_per_day", "amplitude_degrees", "beat_error_ms", "source");
        assertThat(rows[1]).startsWith("AS_RECEIVED,CASED,FULL,,NOT_SAID,DU,-4").contains("SIMULATED");
    }
}
