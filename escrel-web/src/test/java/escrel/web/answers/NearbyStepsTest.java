package escrel.web.answers;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What goes over a network is packed; what a press on this machine brings is not. */
class NearbyStepsTest {
    private final EscrelServer server = EscrelServer.demo();

    private HttpRequest.Builder strip() {
        return HttpRequest.newBuilder(URI.create(server.url() + "/jobs/1/strip"))
                .header("Accept-Encoding", "gzip");
    }

    private static HttpResponse<byte[]> send(HttpRequest.Builder request) throws Exception {
        return HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
    }

    @Test
    void wholePageIsPackedAndABenchAskedForOnThisMachineIsNot() throws Exception {
        HttpResponse<byte[]> page = send(strip());
        HttpResponse<byte[]> bench = send(strip().header("HX-Request", "true"));

        assertThat(page.headers().firstValue("Content-Encoding")).hasValue("gzip");
        String unpacked = new String(
                new GZIPInputStream(new ByteArrayInputStream(page.body())).readAllBytes(), StandardCharsets.UTF_8);
        assertThat(unpacked).contains("id=\"bench\"", "</html>");
        assertThat(bench.headers().firstValue("Content-Encoding")).isEmpty();
        assertThat(new String(bench.body(), StandardCharsets.UTF_8))
                .contains("id=\"bench\"")
                .doesNotContain("</html>");
    }

    @ParameterizedTest
    @CsvSource({
        "true, 127.0.0.1, true",
        "true, 0:0:0:0:0:0:0:1, true",
        "true, 192.168.7.20, false",
        "true, 10.0.0.9, false",
        ", 127.0.0.1, false"
    })
    void onlyPartsOfPagesAndOnlyOnThisMachine(String partOfPage, String address, boolean unpacked) throws Exception {
        assertThat(NearbySteps.goesUnpacked(partOfPage, address)).isEqualTo(unpacked);
    }
}
