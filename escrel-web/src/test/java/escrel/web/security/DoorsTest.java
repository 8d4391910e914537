package escrel.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.job.Workshop;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every door has a limit, and refuses in words; what passes it is clean. */
class DoorsTest {
    private final EscrelServer server = EscrelServer.demo();
    private Visitor visitor;
    private int job;

    @BeforeEach
    void openAJob() {
        visitor = new Visitor(server.url());
        job = visitor.openJob("Door watch", "cv-12");
    }

    private HttpResponse<String> send(HttpRequest.Builder request) throws IOException, InterruptedException {
        return HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    @ParameterizedTest
    @ValueSource(strings = {"PUT", "DELETE", "PATCH", "OPTIONS", "NONSENSE"})
    void methodsNobodyNeedsAreRefusedInWords(String method) throws Exception {
        HttpResponse<String> answer = send(HttpRequest.newBuilder(URI.create(server.url() + "/jobs/1/strip"))
                .method(method, HttpRequest.BodyPublishers.ofString("{}")));

        assertThat(answer.statusCode()).isEqualTo(405);
        assertThat(answer.body()).contains("takes no such request");
    }

    @ParameterizedTest
    @CsvSource({"Origin, http://localhost:1", "Origin, null", "Sec-Fetch-Site, cross-site", "Sec-Fetch-Site, same-site"
    })
    void formOfAnotherPageIsRefusedWhateverTokenItHas(String header, String value) throws Exception {
        String url = server.url();
        HttpResponse<String> answer = send(HttpRequest.newBuilder(URI.create(url + "/jobs/" + job + "/notes"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                // the same planted in the cookie and sent with the form
                .header("Cookie", "XSRF-TOKEN=planted")
                .header("X-XSRF-TOKEN", "planted")
                .header(header, value)
                .POST(HttpRequest.BodyPublishers.ofString("seq=" + visitor.sequence(job) + "&words=planted")));

        assertThat(answer.statusCode()).isEqualTo(403);
        assertThat(answer.body()).contains("Nothing was recorded");
        assertThat(server.bean(Workshop.class).load(job).sequence()).isEqualTo(visitor.sequence(job));
    }

    @Test
    void whatIsTooLargeIsRefusedBeforeItIsRead() throws IOException {
        URI uri = URI.create(server.url());
        try (Socket socket = new Socket("127.0.0.1", uri.getPort())) {
            socket.getOutputStream()
                    .write(("POST /jobs/" + job
                                    + "/notes HTTP/1.1\r\nHost: localhost\r\nContent-Length: 90000000000\r\n"
                                    + "Content-Type: application/x-www-form-urlencoded\r\nConnection: close\r\n\r\nwords=")
                            .getBytes(StandardCharsets.US_ASCII));
            byte[] answer = new byte[600];
            int read = socket.getInputStream().readNBytes(answer, 0, 200);
            assertThat(new String(answer, 0, read, StandardCharsets.UTF_8)).startsWith("HTTP/1.1 413");
        }
    }

    @Test
    void fieldLongerThanAnyOfOursIsNamed() {
        int before = visitor.sequence(job);
        HttpResponse<String> answer = visitor.post(
                "/jobs/" + job + "/notes", Map.of("seq", before, "words", "x".repeat(Doors.LONGEST_FIELD + 1)));

        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("The field words is longer than 20000 characters", "Shorten it");
        assertThat(visitor.sequence(job)).isEqualTo(before);
    }

    @Test
    void signsThatNoPageCanShowAreTakenOutAndTheReportIsMade() {
        visitor.post(
                "/jobs/" + job + "/notes",
                Map.of(
                        "seq",
                        visitor.sequence(job),
                        "words",
                        "bell\u0007, escape\u001b[31m, nothing\ufffe, kept “ä” 時計"));

        assertThat(visitor.get("/jobs/" + job + "/dossier.json").body())
                .contains("bell, escape[31m, nothing, kept “ä” 時計");
        assertThat(visitor.get("/jobs/" + job + "/report.pdf").body()).startsWith("%PDF-");
    }

    @Test
    void listeningOfAnotherJobIsLeftAlone() {
        String opened = visitor.post("/jobs/" + job + "/desk/open", Map.of("sampleRate", "48000", "simulated", "true"))
                .body();
        String id = opened.replaceAll(".*\"id\"\\s*:\\s*\"([^\"]+)\".*", "$1");
        int other = visitor.openJob("Other watch", "cv-12");

        visitor.post("/jobs/" + other + "/desk/" + id + "/close", Map.of());
        assertThat(visitor.post("/jobs/" + job + "/desk/" + id + "/again", Map.of())
                        .statusCode())
                .isEqualTo(200);
        visitor.post("/jobs/" + job + "/desk/" + id + "/close", Map.of());
        assertThat(visitor.post("/jobs/" + job + "/desk/" + id + "/again", Map.of())
                        .statusCode())
                .isEqualTo(422);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/jobs/1//strip", "/jobs/%2e%2e/x", "/jobs/1;a=b/strip", "/%00"})
    void addressesThatAreNoneAreRefusedInWords(String path) throws IOException {
        URI uri = URI.create(server.url());
        try (Socket socket = new Socket("127.0.0.1", uri.getPort())) {
            socket.getOutputStream()
                    .write(("GET " + path + " HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(answer).startsWith("HTTP/1.1 4").doesNotContain("Exception", "Tomcat");
            assertThat(answer.substring(answer.indexOf("\r\n\r\n")).strip()).isNotEmpty();
        }
    }

    @Test
    void pageThatIsNotThereIsSaidInWordsWhateverIsAccepted() throws Exception {
        for (String accept : new String[] {"text/html", "application/json", "*/*", "image/png"}) {
            HttpResponse<String> answer = send(HttpRequest.newBuilder(URI.create(server.url() + "/nowhere/at-all"))
                    .header("Accept", accept));
            assertThat(answer.statusCode()).as(accept).isEqualTo(404);
            assertThat(answer.body()).as(accept).contains("There is no such page");
        }
    }
}
