package escrel.web.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class InspectionTest {
    private final Visitor visitor = new Visitor(EscrelServer.demo().url());
    private int job;

    @BeforeEach
    void raiseAFinding() {
        job = visitor.openJob("Inspected watch", "cv-12");
        HttpResponse<String> page = send(
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
        assertThat(page.body()).contains("What to do about it", "hairline", "origin: accident", "to be decided");
    }

    private HttpResponse<String> send(String path, Map<String, String> fields) {
        Map<String, Object> form = new HashMap<>(fields);
        form.put("seq", visitor.sequence(job));
        return visitor.post("/jobs/" + job + path, form);
    }

    /** The arrival is step 1, what is to be done step 2, the calibre step 3: the finding's key is 4. */
    private HttpResponse<String> decide(String decision, String words, String source) {
        return send("/findings/4/decision", Map.of("decision", decision, "words", words, "source", source));
    }

    @Test
    void leavingItNeedsAReason() {
        assertThat(decide("LEAVE_BY_AGREEMENT", "", "").body()).contains("needs a reason");
        assertThat(decide("LEAVE_BY_AGREEMENT", "owner likes its age", "").body())
                .contains("owner likes its age");
    }

    @Test
    void replacingItNeedsASource() {
        assertThat(decide("REPLACE_DONOR", "", "").body()).contains("where the part comes from");
        assertThat(decide("REPLACE_DONOR", "", "a donor from the quay").body()).contains("a donor from the quay");
    }

    @Test
    void unknownFindingIsNamed() {
        HttpResponse<String> answer =
                send("/findings/99/decision", Map.of("decision", "REPAIR", "words", "", "source", ""));

        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("no finding 99");
    }

    @Test
    void homeIsLeftEmptyOnlyWithAReason() {
        assertThat(send("/left-out", Map.of("part", "dial-washer", "reason", ""))
                        .statusCode())
                .isEqualTo(422);
        assertThat(send("/left-out", Map.of("part", "dial-washer", "reason", "none to be had"))
                        .body())
                .as("what sits in its place cannot be left out")
                .contains("is fitted by the record");
        send(
                "/findings",
                Map.of(
                        "part",
                        "dial-washer",
                        "grade",
                        "MISSING",
                        "defect",
                        "OTHER",
                        "origin",
                        "UNKNOWN",
                        "words",
                        "not there on arrival"));
        send("/left-out", Map.of("part", "dial-washer", "reason", "none to be had"));
        assertThat(visitor.get("/jobs/" + job + "/handover").body()).contains("1 left empty");
    }

    @Test
    void wordsAreShownAsWordsNotAsMarkup() {
        send(
                "/findings",
                Map.of(
                        "part",
                        "",
                        "grade",
                        "WORN",
                        "defect",
                        "OTHER",
                        "origin",
                        "WEAR",
                        "words",
                        "<script>alert(1)</script>"));

        assertThat(visitor.get("/jobs/" + job + "/findings").body())
                .contains("&lt;script&gt;")
                .doesNotContain("<script>alert");
    }

    @Test
    void pieceOfAPartIsListedWithItsSizeSourceAndTheOldOnesEnd() {
        send(
                "/findings",
                Map.of(
                        "part",
                        "train-bridge",
                        "grade",
                        "BROKEN",
                        "defect",
                        "CRACKED",
                        "origin",
                        "ACCIDENT",
                        "words",
                        "a line",
                        "placeKind",
                        "JEWEL",
                        "placeName",
                        "third wheel"));
        send(
                "/findings/5/decision",
                Map.of("decision", "REPLACE_NEW", "words", "", "source", "Stennay material store"));
        assertThat(visitor.get("/jobs/" + job + "/findings?finding=5").body())
                .contains("Its own size", "The old piece");

        send("/findings/5/worked", Map.of("done", "true", "size", "hole 0.12", "old", "RETURNED"));

        String words =
                "Old jewel, third wheel, of Train bridge: returned in its bag; the new one from Stennay material store, hole 0.12";
        assertThat(visitor.get("/jobs/" + job + "/handover").body()).contains(words);
        assertThat(visitor.get("/jobs/" + job + "/report").body()).contains(words);
    }
}
