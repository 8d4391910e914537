package escrel.web.handover;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.service.OpenItem;
import escrel.web.job.Workshop;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
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

    private List<OpenItem> open() {
        return EscrelServer.demo().bean(Workshop.class).load(job).job().accounts().stream()
                .flatMap(a -> a.blocking().stream())
                .toList();
    }

    @Test
    void waiverNeedsAReasonNamesOneThingAndTheReportPrintsIt() {
        String back = open().stream()
                .filter(i -> i.words().contains("Case back is off"))
                .findFirst()
                .orElseThrow()
                .key();
        assertThat(send("/waive", Map.of("key", back, "reason", " ")).statusCode())
                .isEqualTo(422);

        int before = open().size();
        send("/waive", Map.of("key", back, "reason", "owner keeps the back in a drawer"));
        assertThat(open()).as("that one and no other").hasSize(before - 1);
        assertThat(visitor.get("/jobs/" + job + "/handover").body()).contains("Not yet", "waived");

        for (OpenItem item : open()) {
            send("/waive", Map.of("key", item.key(), "reason", "only the back was wanted"));
        }
        assertThat(send("/handover", Map.of("words", "to the owner")).body()).contains("It went back");
        assertThat(visitor.get("/jobs/" + job + "/report").body())
                .contains("owner keeps the back in a drawer", "Handed over: to the owner");
    }

    @Test
    void waiverNeverCoversWhatComesLater() {
        for (OpenItem item : open()) {
            send("/waive", Map.of("key", item.key(), "reason", "only the back was wanted"));
        }
        send(
                "/findings",
                Map.of(
                        "part",
                        "dial",
                        "grade",
                        "MEND",
                        "defect",
                        "CRACKED",
                        "origin",
                        "ACCIDENT",
                        "words",
                        "hairline"));

        assertThat(open()).singleElement().satisfies(i -> assertThat(i.part()).isEqualTo("dial"));
        assertThat(send("/handover", Map.of("words", "to the owner")).statusCode())
                .isEqualTo(422);
    }

    @Test
    void reportSaysWhatItDoesNotPromise() {
        assertThat(visitor.get("/jobs/" + job + "/report").body().replaceAll("\\s+", " "))
                .contains("No water resistance is promised", "radioactive until measured");
    }
}
