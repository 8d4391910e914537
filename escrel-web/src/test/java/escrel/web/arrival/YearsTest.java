package escrel.web.arrival;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.storage.WorkshopLogs;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A watch's year by its number, from a table the workshop keeps. */
class YearsTest {
    @Test
    void yearIsToldWithHowFarItMayBeTrusted() {
        try (EscrelServer server = EscrelServer.empty()) {
            Visitor visitor = new Visitor(server.url());
            int job = visitor.openJob("Tidewell purser's watch", "");
            BenchHand hand = new BenchHand(server, job);
            hand.post(
                    "/arrival",
                    Map.of(
                            "watch",
                            "Tidewell purser's watch",
                            "owner",
                            "purser",
                            "maker",
                            "Tidewell",
                            "stance",
                            "CONSERVE"));
            hand.post("/marks", Map.of("on", "MOVEMENT", "kind", "NUMBER", "text", "18344"));
            assertThat(visitor.get("/jobs/" + job + "/arrival").body()).doesNotContain("18344: 19");

            Map<String, String> table = Map.of(
                    "maker", "Tidewell", "on", "MOVEMENT", "certainty", "HEARD", "table", "10000 1955\n20000;1958\n");
            assertThat(visitor.post("/settings/years", table).body()).contains("2 rows are kept");
            assertThat(visitor.get("/jobs/" + job + "/arrival").body())
                    .contains("number 18344: 1955 to 1958", "by hearsay");
            assertThat(visitor.post(
                                    "/settings/years",
                                    Map.of(
                                            "maker",
                                            "Tidewell",
                                            "on",
                                            "MOVEMENT",
                                            "certainty",
                                            "HEARD",
                                            "table",
                                            "many 1955"))
                            .body())
                    .contains("Line 1 is no number and year", "The tables are as they were");
            assertThat(server.bean(WorkshopLogs.class).load().years().all())
                    .singleElement()
                    .satisfies(y -> assertThat(y.rows()).hasSize(2));
        }
    }
}
