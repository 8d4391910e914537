package escrel.web.handover;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.handover.Stage;
import escrel.core.service.WorkAgreed;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Jobs that are no teardown end too, calibre known or not: each has its next act, its accounts, its report. */
class NoTeardownTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());
    private int job;

    private HttpResponse<String> send(String path, Map<String, ?> fields) {
        Map<String, Object> form = new HashMap<>(fields);
        form.put("seq", visitor.sequence(job));
        return visitor.post("/jobs/" + job + path, form);
    }

    private OpenJob load() {
        return server.bean(Workshop.class).load(job);
    }

    private void read(String state, String rate) {
        send(
                "/readings/typed",
                Map.of("state", state, "fitted", "CASED", "wound", "FULL", "position", "DIAL_UP", "rate", rate));
    }

    @ParameterizedTest
    @CsvSource({
        "REGULATE, '', regulate",
        "REGULATE, cv-24, regulate",
        "CASE_WORK, '', case work",
        "CASE_WORK, cv-12, case work",
        "DECLINED, '', hand over",
        "RETURNED_UNOPENED, cv-33, hand over"
    })
    void hasItsNextActItsEndAndItsReport(WorkAgreed.Work work, String calibre, String nextAct) {
        job = visitor.openJob("Tidewell P-640", calibre);
        send("/work", Map.of("work", work.name(), "words", "as agreed at the quay"));

        if (work.endsWithReadings()) {
            assertThat(load().job().nextAct()).isEqualTo("take the readings as received");
            read("AS_RECEIVED", "-95");
            assertThat(load().job().nextAct()).contains(nextAct);
            assertThat(send("/handover", Map.of("words", "by the ferry")).statusCode())
                    .as("the final readings are still owed")
                    .isEqualTo(422);
            send("/readings/between", Map.of("what", "REGULATOR_MOVED", "words", "two lines"));
            read("FINAL_CASED", "+3");
        } else {
            assertThat(load().job().nextAct()).contains(nextAct);
        }
        assertThat(send("/handover", Map.of("words", "by the ferry")).body()).contains("It went back");

        assertThat(load().stage()).isEqualTo(Stage.HANDED_OVER);
        String report = visitor.get("/jobs/" + job + "/report").body();
        assertThat(report)
                .contains("Agreed: " + work.words(), "as agreed at the quay", "The movement was not taken apart");
        if (work.endsWithReadings()) {
            assertThat(report).contains("Regulator moved: two lines", "−95", "+3");
        }
        assertThat(visitor.get("/").body()).doesNotContain("/jobs/" + job + "/strip");
    }
}
