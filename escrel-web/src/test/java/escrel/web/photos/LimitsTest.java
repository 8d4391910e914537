package escrel.web.photos;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.storage.Json;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.OwnProcess;
import escrel.web.testing.Recordings;
import escrel.web.testing.Visitor;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What is stated as the largest that is taken is taken, with the memory the application ships with; more is refused. */
@Tag("long")
class LimitsTest {
    private static Process process;
    private static Visitor visitor;
    private int job;

    @BeforeAll
    static void start() throws IOException {
        process = OwnProcess.start(EscrelServer.folder(), true);
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
    @CsvSource({"12000, 9900, jpg", "9900, 12000, png"})
    void hundredAndTwentyMillionPixelsAreTakenAndScaled(int width, int height, String format) throws IOException {
        assertThat(add(picture(width, height, BufferedImage.TYPE_BYTE_GRAY, format))
                        .statusCode())
                .isEqualTo(200);
        assertThat(given()).contains("fullBase64");
    }

    @Test
    void threeOfTwentyFourMillionInARowAreAllTakenAndScaled() throws IOException {
        byte[] large = picture(6000, 4000, BufferedImage.TYPE_3BYTE_BGR, "jpg");
        for (int i = 0; i < 3; i++) {
            assertThat(add(large).statusCode()).isEqualTo(200);
        }
        assertThat(given().split("fullBase64", -1)).hasSize(4);
    }

    /** A minute of sound thirty times over: its beats go through the seams. */
    @Test
    void halfAnHourOfSoundIsTakenAndReadAndASecondMoreIsRefused() {
        byte[] minute = Recordings.minute(22_050);
        int samples = minute.length - 44;
        byte[] halfHour = Arrays.copyOf(minute, 44 + 30 * samples);
        for (int i = 1; i < 30; i++) {
            System.arraycopy(minute, 44, halfHour, 44 + i * samples, samples);
        }
        length(halfHour);
        int timed = visitor.openJob("Half-hour watch", "cv-12");
        assertThat(sound(timed, halfHour).statusCode()).isEqualTo(200);
        assertThat(visitor.get("/jobs/" + timed + "/readings.csv").body())
                .contains("RECORDING")
                .contains(",DU,");

        // its header says it; nothing of the sound is needed to refuse it
        byte[] longer = Arrays.copyOf(halfHour, 1_000);
        ByteBuffer.wrap(longer).order(ByteOrder.LITTLE_ENDIAN).putInt(40, halfHour.length - 44 + 44_100);
        HttpResponse<String> refused = sound(timed, longer);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("at most 1800 s are taken");
    }

    private static void length(byte[] wav) {
        ByteBuffer.wrap(wav)
                .order(ByteOrder.LITTLE_ENDIAN)
                .putInt(4, wav.length - 8)
                .putInt(40, wav.length - 44);
    }

    private static HttpResponse<String> sound(int job, byte[] wav) {
        return visitor.upload(
                "/jobs/" + job + "/readings/recording",
                Map.of("seq", visitor.sequence(job), "state", "AS_RECEIVED", "position", "DIAL_UP"),
                "sound",
                "long.wav",
                wav);
    }

    @Test
    void dossierAsOneJsonFileIsTakenUpToItsLimit() throws IOException {
        byte[] photo = noise();
        String base64 = Base64.getEncoder().encodeToString(photo);
        ObjectNode dossier = (ObjectNode) Json.MAPPER.readTree(given());
        ArrayNode photos = dossier.putArray("photos");
        int fits = (60 << 20) / base64.length();
        for (int i = 1; i <= fits; i++) {
            photos.addObject().put("number", i).put("mediaType", "image/png").put("base64", base64);
        }
        dossier.put("identity", new UUID(4, 4).toString());
        assertThat(take(dossier).body()).contains("The dossier was taken in as job");

        int tooMany = (64 << 20) / base64.length() + 1;
        for (int i = 1; i <= tooMany - fits; i++) {
            photos.addObject()
                    .put("number", fits + i)
                    .put("mediaType", "image/png")
                    .put("base64", base64);
        }
        HttpResponse<String> refused = take(dossier.put("identity", new UUID(5, 5).toString()));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("larger than 64 MB; give the job out as a ZIP");
    }

    private static HttpResponse<String> take(ObjectNode dossier) {
        return visitor.upload(
                "/jobs/import",
                Map.of(),
                "dossier",
                "d.json",
                dossier.toString().getBytes(StandardCharsets.UTF_8));
    }

    /** A picture that does not pack at all: much to read, little to scale. */
    private static byte[] noise() throws IOException {
        BufferedImage image = new BufferedImage(900, 900, BufferedImage.TYPE_3BYTE_BGR);
        new Random(1).nextBytes(((DataBufferByte) image.getRaster().getDataBuffer()).getData());
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    @Test
    void oneRowTooManyIsRefusedWithItsSize() throws IOException {
        HttpResponse<String> answer = add(picture(12_000, 10_084, BufferedImage.TYPE_BYTE_GRAY, "png"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("121 million pixels, at most 120");
    }

    @Test
    void documentOfTwentyMegabytesIsKeptAndOneByteMoreIsRefused() {
        HttpResponse<String> kept = attach(new byte[20_000_000]);
        assertThat(kept.statusCode()).isEqualTo(200);
        assertThat(kept.body()).contains("Documents: 1");

        HttpResponse<String> refused = attach(new byte[20_000_001]);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("a file of at most 20 MB");
    }

    private static HttpResponse<String> attach(byte[] document) {
        return visitor.upload(
                "/calibres/l-43/documents",
                Map.of("title", "Drawings", "source", "a fair"),
                "document",
                "drawings.pdf",
                document);
    }

    @Test
    void twoThousandRowsOfReadingsAreTakenAndEveryPageOpens() {
        String[] lines = visitor.get("/jobs/2/readings.csv").body().split("\r?\n");
        StringBuilder file = new StringBuilder(lines[0]).append('\n');
        for (int i = 0; i < 2_000; i++) {
            file.append(lines[1 + i % (lines.length - 1)]).append('\n');
        }
        HttpResponse<String> taken = readings(file.toString());
        assertThat(taken.statusCode()).isEqualTo(200);
        assertThat(taken.body()).contains("2000 readings were taken in");
        for (String room :
                new String[] {"readings", "running", "turn", "report", "report.pdf", "dossier.json", "desk"}) {
            assertThat(visitor.get("/jobs/" + job + "/" + room).statusCode())
                    .as(room)
                    .isEqualTo(200);
        }

        HttpResponse<String> refused =
                readings(file.append(lines[1]).append('\n').toString());
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("more than 2000 rows");
    }

    private HttpResponse<String> readings(String file) {
        return visitor.upload(
                "/jobs/" + job + "/readings/import",
                Map.of("seq", visitor.sequence(job)),
                "file",
                "r.csv",
                file.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void longestNoteIsKeptAndPrintedAndALongerOneIsRefused() {
        String words = "mainspring ".repeat(100).substring(0, 999) + "s";
        assertThat(note(words).statusCode()).isEqualTo(200);
        for (String room : new String[] {"film", "report", "report.pdf", "handover"}) {
            assertThat(visitor.get("/jobs/" + job + "/" + room).statusCode())
                    .as(room)
                    .isEqualTo(200);
        }
        int before = visitor.sequence(job);

        assertThat(note(words + "s").statusCode()).isGreaterThanOrEqualTo(400).isLessThan(500);
        assertThat(visitor.sequence(job)).isEqualTo(before);
    }

    private HttpResponse<String> note(String words) {
        return visitor.post("/jobs/" + job + "/notes", Map.of("seq", visitor.sequence(job), "words", words));
    }

    /** As many parts as a sheet may have, each held by the one before it. */
    @Test
    void largestSheetIsTakenAndItsPagesOpen() {
        ObjectNode sheet = (ObjectNode)
                Json.MAPPER.readTree(visitor.get("/calibres/l-43/sheet.json").body());
        sheet.put("id", "largest").put("name", "Largest sheet");
        ArrayNode parts = (ArrayNode) sheet.path("parts");
        ArrayNode holds = (ArrayNode) sheet.path("holds");
        ObjectNode like = (ObjectNode) parts.get(parts.size() - 1);
        String before = like.path("code").asString();
        for (int i = parts.size(); i < 2_000; i++) {
            String code = "more-" + i;
            ObjectNode part = like.deepCopy().put("code", code).put("name", "More " + i);
            part.remove("role");
            parts.add(part);
            if (holds.size() < 2_000) {
                holds.addObject().put("part", code).put("by", before).put("why", "under it");
            }
            before = code;
        }
        HttpResponse<String> taken = sheet(sheet);
        assertThat(taken.statusCode()).isEqualTo(200);
        int large = visitor.openJob("Largest watch", "largest");
        for (String room :
                new String[] {"strip", "tray", "climb", "wash", "inspect", "film", "learnt", "handover", "report"}) {
            assertThat(visitor.get("/jobs/" + large + "/" + room).statusCode())
                    .as(room)
                    .isEqualTo(200);
        }

        parts.add(((ObjectNode) parts.get(parts.size() - 1)).deepCopy().put("code", "one-more"));
        HttpResponse<String> refused = sheet(sheet.put("id", "too-large"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("2001 entries, at most 2000 are taken");
    }

    private static HttpResponse<String> sheet(ObjectNode sheet) {
        return visitor.upload(
                "/calibres/import",
                Map.of(),
                "sheet",
                "s.json",
                sheet.toString().getBytes(StandardCharsets.UTF_8));
    }
}
