package escrel.web.calibres;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.storage.Json;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

class CalibresTest {
    private final Visitor visitor = new Visitor(EscrelServer.demo().url());

    private String take(ObjectNode sheet) {
        return visitor.upload(
                        "/calibres/import",
                        Map.of(),
                        "sheet",
                        "sheet.json",
                        sheet.toString().getBytes(StandardCharsets.UTF_8))
                .body();
    }

    private ObjectNode sheet(String id) {
        return (ObjectNode) Json.MAPPER.readTree(
                visitor.get("/calibres/" + id + "/sheet.json").body());
    }

    @Test
    void changedSheetBecomesTheNextVersionAndJobsKeepTheirs() {
        ObjectNode sheet = sheet("cv-12").put("id", "cv-12-test").put("name", "Corvane CV-12 on trial");
        assertThat(take(sheet)).contains("is kept as version 1");
        assertThat(take(sheet)).contains("is kept as version 1");
        int job = visitor.openJob("Trial watch", "cv-12-test");

        sheet.putArray("traps").add("A new trap.");
        assertThat(take(sheet)).contains("is kept as version 2", "A new trap.");

        assertThat(visitor.get("/jobs/" + job + "/arrival").body())
                .contains("Calibre: Corvane CV-12 on trial, sheet version 1");
    }

    @Test
    void pageShowsBothSidesTheWayDownAndTheTraps() {
        assertThat(visitor.get("/calibres/l-43").body())
                .contains("train side up", "15", "42°", "left-hand", "3 turn-overs", "Three-quarter plate");
        assertThat(visitor.get("/calibres/l-43?side=DIAL").body()).contains("dial side up");
    }

    @Test
    void unknownCalibreIsSaidPlainly() {
        assertThat(visitor.get("/calibres/nowhere").statusCode()).isEqualTo(422);
        assertThat(visitor.get("/calibres/nowhere").body()).contains("There is no sheet “nowhere”");
    }
}
