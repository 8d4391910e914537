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

    /** The chronograph is of the CV-12's family; what the CV-12 warns of is offered to it. */
    @Test
    void whatTheFamilyKnowsIsTakenOver() {
        visitor.post("/calibres/cv-33/copy", Map.of("newId", "cv-33-family", "newName", "Of the family"));
        String trap = "The crown-wheel screw is left-hand: three lines in its head.";
        assertThat(visitor.get("/calibres/cv-33-family").body())
                .contains("What the CV-12 family knows besides", "trap: " + trap);

        assertThat(visitor.post("/calibres/cv-33-family/family", Map.of("line", "TRAP:" + trap))
                        .body())
                .contains("the sheet is version 2 now", trap)
                .doesNotContain("trap: " + trap);
        assertThat(sheet("cv-33-family").path("traps").toString()).contains(trap);
        assertThat(visitor.get("/calibres/l-43").body()).doesNotContain("knows besides");
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
