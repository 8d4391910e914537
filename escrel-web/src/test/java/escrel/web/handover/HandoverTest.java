package escrel.web.handover;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class HandoverTest {
    private final Visitor visitor = new Visitor(EscrelServer.demo().url());
    private int job;

    @BeforeEach
    void openAWatchWithOnePartOff() {
        job = Stripped.cv12(EscrelServer.demo(), 1);
    }

    private HttpResponse<String> send(String path, Map<String, String> fields) {
        Map<String, Object> form = new HashMap<>(fields);
        form.put("seq", visitor.sequence(job));
        return visitor.post("/jobs/" + job + path, form);
    }

    @Test
    void watchCannotLeaveWhileAnythingIsOpenAndEverythingOpenIsNamed() {
        HttpResponse<String> refused = send("/handover", Map.of("words", "to the owner"));

        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Case back is off", "the job stays open");
        assertThat(visitor.get("/jobs/" + job + "/handover").body()).contains("Not yet: something is open");
    }

    @Test
    void waiverNeedsAReasonAndTheReportPrintsIt() {
        assertThat(send("/waive", Map.of("account", "HOMES", "reason", " ")).statusCode())
                .isEqualTo(422);

        send("/waive", Map.of("account", "HOMES", "reason", "owner keeps the back in a drawer"));
        assertThat(visitor.get("/jobs/" + job + "/handover").body()).contains("Every account balances", "waived");

        assertThat(send("/handover", Map.of("words", "to the owner")).body()).contains("It went back");
        assertThat(visitor.get("/jobs/" + job + "/report").body())
                .contains("owner keeps the back in a drawer", "Handed over: to the owner");
    }

    @Test
    void reportSaysWhatItDoesNotPromise() {
        assertThat(visitor.get("/jobs/" + job + "/report").body())
                .contains("No water resistance is promised", "radioactive until measured");
    }
}
