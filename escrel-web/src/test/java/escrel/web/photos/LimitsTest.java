package escrel.web.photos;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.OwnProcess;
import escrel.web.testing.Visitor;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The largest pictures that are promised are taken with the memory the application ships with. */
class LimitsTest {
    private static Process process;
    private static Visitor visitor;
    private int job;

    @BeforeAll
    static void start() throws IOException {
        process = OwnProcess.start(EscrelServer.folder(), false);
        visitor = new Visitor(OwnProcess.address(process));
    }

    @AfterAll
    static void stop() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    @BeforeEach
    void openAJob() {
        job = visitor.openJob("Limit watch", "");
    }

    private static byte[] picture(int width, int height, int type, String format) throws IOException {
        BufferedImage image = new BufferedImage(width, height, type);
        for (int i = 0; i < Math.min(width, height); i += 7) {
            image.setRGB(i, i, 0xffffff);
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    private HttpResponse<String> add(byte[] picture) {
        return visitor.upload(
                "/jobs/" + job + "/photos",
                Map.of("seq", visitor.sequence(job), "caption", "large"),
                "picture",
                "large",
                picture);
    }

    /** The dossier waits until all pictures have been scaled. */
    private String given() {
        return visitor.get("/jobs/" + job + "/dossier.json").body();
    }

    @ParameterizedTest
    @CsvSource({"12000, 9900, jpg", "12000, 9900, png", "9900, 12000, jpg"})
    void hundredAndTwentyMillionPixelsAreTakenAndScaled(int width, int height, String format) throws IOException {
        assertThat(add(picture(width, height, BufferedImage.TYPE_BYTE_GRAY, format))
                        .statusCode())
                .isEqualTo(200);
        assertThat(given()).contains("fullBase64");
    }

    @Test
    void fiveOfTwentyFourMillionInARowAreAllTakenAndScaled() throws IOException {
        byte[] large = picture(6000, 4000, BufferedImage.TYPE_INT_RGB, "jpg");
        for (int i = 0; i < 5; i++) {
            assertThat(add(large).statusCode()).isEqualTo(200);
        }
        assertThat(given().split("fullBase64", -1)).hasSize(6);
    }

    @Test
    void oneRowTooManyIsRefusedWithItsSize() throws IOException {
        HttpResponse<String> answer = add(picture(12_000, 10_084, BufferedImage.TYPE_BYTE_GRAY, "png"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("121 million pixels, at most 120");
    }
}
