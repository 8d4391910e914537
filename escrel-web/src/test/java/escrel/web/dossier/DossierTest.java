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

    /** The case comes along, waits here, and its job goes by it meanwhile. */
    @Test
    void aCaseFromElsewhereWaitsUntilItIsAccepted() {
        ObjectNode out = (ObjectNode)
                Json.MAPPER.readTree(visitor.get("/jobs/7/dossier.json").body());
        try (EscrelServer other = EscrelServer.empty()) {
            Visitor there = new Visitor(other.url());
            ObjectNode without = out.deepCopy();
            without.remove("case");
            assertThat(refused(there, without)).contains("the dossier holds no sheet of it");
            ObjectNode wrong = out.deepCopy();
            ((ObjectNode) wrong.path("case")).put("id", "skarholt-d-78");
            assertThat(refused(there, wrong)).contains("skarholt-d-77", "skarholt-d-78");
            ObjectNode sideways = out.deepCopy();
            ((ObjectNode) sideways.path("case")).put("opens", "SIDEWAYS");
            assertThat(refused(there, sideways)).contains("is not what belongs there");
            assertThat(there.get("/cases").body())
                    .contains("No case is known yet")
                    .doesNotContain("D-77");

            take(there, out.toString());
            assertThat(there.get("/jobs/7/strip?part=turning-ring").body()).contains("Turning ring");
            assertThat(there.get("/cases").body()).contains("From elsewhere", "Skarholt D-77");
            assertThat(there.get("/cases/skarholt-d-77/versions/1").body()).contains("came with a job of another");
            assertThat(there.post("/cases/skarholt-d-77/accept", Map.of("version", 1))
                            .body())
                    .contains("The case is used now, as version 2");
            assertThat(there.get("/cases").body()).doesNotContain("From elsewhere");
            assertThat(there.get("/jobs/7/dossier.json").body()).isEqualTo(out(7));
        }
    }

    private String out(int job) {
        return visitor.get("/jobs/" + job + "/dossier.json").body();
    }

    private static String refused(Visitor there, ObjectNode dossier) {
        HttpResponse<String> page = there.upload(
                "/jobs/import",
                Map.of(),
                "dossier",
                "d.json",
                dossier.toString().getBytes(StandardCharsets.UTF_8));
        assertThat(page.statusCode()).isEqualTo(422);
        return page.body();
    }

    @Test
    void readingsAsCsvHaveOneRowAReadingAndUnitsInTheirNames() {
        String[] rows = visitor.get("/jobs/1/readings.csv").body().split("\r\n");

        assertThat(rows).hasSize(13);
        assertThat(rows[0]).contains("rate_seconds_per_day", "amplitude_degrees", "beat_error_ms", "source");
        assertThat(rows[1]).startsWith("AS_RECEIVED,CASED,FULL,,NOT_SAID,DU,-4").contains("SIMULATED");
    }
}
