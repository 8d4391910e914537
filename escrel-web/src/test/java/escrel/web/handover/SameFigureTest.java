package escrel.web.handover;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A reading is the same figure with the same doubt on whatever page it stands; accounts stand in every report. */
class SameFigureTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());
    private int job;

    private void send(String path, Map<String, ?> fields) {
        Map<String, Object> form = new HashMap<>(fields);
        form.put("seq", visitor.sequence(job));
        assertThat(visitor.post("/jobs/" + job + path, form).statusCode()).isEqualTo(200);
    }

    private void read(String state, String rate) {
        send(
                "/readings/typed",
                Map.of("state", state, "fitted", "CASED", "wound", "FULL", "position", "DIAL_UP", "rate", rate));
    }

    /** M10: a typed figure from a timing machine carries 1 s/d of its clock, besides half of its last digit. */
    @ParameterizedTest
    @ValueSource(strings = {"readings", "turn", "report"})
    void aTypedRateCarriesTheDoubtOfTheClock(String page) {
        job = visitor.openJob("Tidewell P-641", "cv-12");
        read("AS_RECEIVED", "-95");
        read("FINAL_CASED", "+3");

        Matcher rate = Pattern.compile("−95[^<]*±[^<]*")
                .matcher(visitor.get("/jobs/" + job + "/" + page + "?state=AS_RECEIVED")
                        .body());

        assertThat(rate.find()).isTrue();
        double doubt = Double.parseDouble(rate.group().replaceAll(".*± ", ""));
        assertThat(doubt).as(rate.group()).isGreaterThanOrEqualTo(1);
    }

    @Test
    void theReportOfAJobWithoutASheetHasItsAccountsAndWaivers() {
        job = visitor.openJob("Tidewell P-642", "");
        send("/work", Map.of("work", "SERVICE", "words", ""));
        read("AS_RECEIVED", "-95");
        String handover = visitor.get("/jobs/" + job + "/handover").body();
        Matcher open = Pattern.compile("name=\"key\"[^>]*value=\"([^\"]+)\"").matcher(handover);
        assertThat(open.find()).as("final readings are owed").isTrue();
        send("/waive", Map.of("key", open.group(1), "reason", "the owner sails tonight"));

        assertThat(visitor.get("/jobs/" + job + "/report").body())
                .contains("<th>Account</th>", "waived", ": the owner sails tonight");
    }
}
