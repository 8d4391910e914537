package escrel.web.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.web.EscrelApplication;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

class SecurityTest {
    private final String url = EscrelServer.demo().url();

    @Test
    void strictPolicyAndNoInlineScriptOrStyle() {
        HttpResponse<String> page = new Visitor(url).get("/jobs/5/climb");

        assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
                .contains("default-src 'none'", "script-src 'self'", "style-src 'self'")
                .doesNotContain("unsafe");
        assertThat(page.body()).doesNotContain("style=\"", "onclick=", "<script>", "https://");
    }

    @Test
    void formWithoutTheTokenIsRefusedInPlainWords() throws Exception {
        HttpRequest bare = HttpRequest.newBuilder(URI.create(url + "/jobs"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("watch=a&owner=b&stance=RENEW"))
                .build();

        HttpResponse<String> answer = HttpClient.newHttpClient().send(bare, HttpResponse.BodyHandlers.ofString());

        assertThat(answer.statusCode()).isEqualTo(403);
        assertThat(answer.body()).contains("Nothing was recorded", "Reload the page");
    }

    @Test
    void foreignNameForThisMachineIsNotAnswered() throws IOException {
        URI uri = URI.create(url);
        try (Socket socket = new Socket("127.0.0.1", uri.getPort())) {
            socket.getOutputStream()
                    .write("GET / HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n"
                            .getBytes(StandardCharsets.US_ASCII));
            assertThat(new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8))
                    .startsWith("HTTP/1.1 400")
                    .contains("localhost only");
        }
    }

    @Test
    void anotherAddressNeedsAPassphraseFirst() {
        Path home = EscrelServer.folder();

        assertThatThrownBy(() -> EscrelApplication.application()
                        .run("--escrel.home=" + home, "--server.port=0", "--server.address=0.0.0.0"))
                .isInstanceOf(Listening.RefusedException.class)
                .hasMessageContaining("./escrel passphrase");
    }

    @Test
    void withAPassphraseItAsksForIt() throws Exception {
        Path home = EscrelServer.folder();
        Files.writeString(home.resolve("passphrase"), new BCryptPasswordEncoder().encode("tweezers and pegwood"));
        try (ConfigurableApplicationContext context = EscrelApplication.application()
                .run("--escrel.home=" + home, "--server.port=0", "--server.address=0.0.0.0")) {
            String there = "http://localhost:" + context.getEnvironment().getProperty("local.server.port");
            Visitor visitor = new Visitor(there);

            assertThat(visitor.get("/").body()).contains("The workshop's passphrase");
            visitor.post("/login", Map.of("username", "restorer", "password", "wrong"));
            assertThat(visitor.get("/").body()).contains("The workshop's passphrase");
            visitor.post("/login", Map.of("username", "restorer", "password", "tweezers and pegwood"));
            assertThat(visitor.get("/").body()).contains("No watch is in the house");
        }
    }

    @Test
    void healthIsOpen() {
        assertThat(new Visitor(url).get("/actuator/health").body()).contains("\"status\":\"UP\"");
        assertThat(new Visitor(url).get("/actuator/env").statusCode()).isEqualTo(404);
    }
}
