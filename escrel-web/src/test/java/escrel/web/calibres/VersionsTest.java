package escrel.web.calibres;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.storage.Json;
import escrel.web.storage.SheetJson;
import escrel.web.storage.Sheets;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** Versions of a sheet are looked at beside the one that is used, and every choice among them can be taken back. */
class VersionsTest {
    private static final EscrelServer SERVER = EscrelServer.empty();

    private final Visitor visitor = new Visitor(SERVER.url());

    @AfterAll
    static void stop() {
        SERVER.close();
    }

    /** A sheet of its own for a test, like that of the demo's two-hand movement. */
    private ObjectNode sheet(String id) {
        ObjectNode sheet = (ObjectNode)
                Json.MAPPER.readTree(new Visitor(EscrelServer.demo().url())
                        .get("/calibres/cv-12/sheet.json")
                        .body());
        return sheet.put("id", id).put("name", "Trial " + id);
    }

    private void take(ObjectNode sheet) {
        assertThat(visitor.upload(
                                "/calibres/import",
                                Map.of(),
                                "sheet",
                                "sheet.json",
                                sheet.toString().getBytes(StandardCharsets.UTF_8))
                        .statusCode())
                .isEqualTo(200);
    }

    private int fromElsewhere(ObjectNode sheet) {
        return SERVER.bean(Sheets.class).keepFromElsewhere(SheetJson.read(sheet.toString()));
    }

    private static ObjectNode otherwise(ObjectNode sheet) {
        ObjectNode other = sheet.deepCopy();
        ((ObjectNode) other.path("data")).put("liftAngleDegrees", 47.5);
        other.putArray("traps").add("The click spring is not the one of ours.");
        return other;
    }

    @Test
    void sheetFromElsewhereIsShownBesideOursBeforeItIsAccepted() {
        ObjectNode ours = sheet("beside");
        take(ours);
        int version = fromElsewhere(otherwise(ours));

        assertThat(visitor.get("/calibres").body()).contains("/calibres/beside/versions/" + version);
        assertThat(visitor.get("/calibres/beside/versions/" + version).body())
                .contains(
                        "from elsewhere, waiting",
                        "lift angle degrees",
                        "47.5",
                        "The click spring is not the one of ours.",
                        "Used here: version 1",
                        "Accept as ours",
                        "Put it away");
        assertThat(SERVER.bean(Sheets.class).latestVersion("beside")).isEqualTo(1);
    }

    @Test
    void whatIsPutAwayCanBeLookedAtAgainAndAcceptedAfterAll() {
        ObjectNode ours = sheet("away");
        take(ours);
        int version = fromElsewhere(otherwise(ours));

        visitor.post("/calibres/away/put-away", Map.of("version", version));

        assertThat(visitor.get("/calibres").body()).contains("Put away: 1", "look at it again");
        assertThat(visitor.post("/calibres/away/put-away", Map.of("version", version))
                        .statusCode())
                .as("it does not wait any more")
                .isEqualTo(422);
        assertThat(visitor.get("/calibres/away/versions/" + version).body())
                .contains("from elsewhere, put away", "Accept as ours")
                .doesNotContain("Put it away");

        visitor.post("/calibres/away/accept", Map.of("version", version));

        assertThat(visitor.get("/calibres/away").body()).contains("The click spring is not the one of ours.");
        assertThat(visitor.get("/calibres").body()).doesNotContain("Put away: 1");
    }

    @Test
    void acceptedSheetCanBeTakenBackToTheEarlierOne() {
        ObjectNode ours = sheet("back");
        take(ours);
        int version = fromElsewhere(otherwise(ours));
        visitor.post("/calibres/back/accept", Map.of("version", version));
        assertThat(visitor.get("/calibres/back/versions/1").body())
                .contains("an earlier one of this workshop", "Go back to this version");

        visitor.post("/calibres/back/accept", Map.of("version", "1"));

        assertThat(visitor.get("/calibres/back").body()).doesNotContain("The click spring is not the one of ours.");
        assertThat(visitor.get("/calibres/back/versions/1").body())
                .contains("It says the same as the sheet that is used");
    }

    @Test
    void versionThatIsUsedOrIsNotThereIsRefused() {
        take(sheet("used"));
        assertThat(visitor.post("/calibres/used/accept", Map.of("version", "1")).statusCode())
                .isEqualTo(422);
        assertThat(visitor.post("/calibres/used/accept", Map.of("version", "7")).body())
                .contains("There is no version 7");
        assertThat(visitor.get("/calibres/used/versions/7").statusCode()).isEqualTo(422);
        assertThat(SERVER.bean(Sheets.class).latestVersion("used")).isEqualTo(1);
    }
}
