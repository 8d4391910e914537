package escrel.web.phone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import escrel.core.calibre.Side;
import escrel.core.service.PartOff;
import escrel.core.service.PhotoAdded;
import escrel.web.demo.PlanPicture;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.SheetJson;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;

class PhoneTest {
    private static final EscrelServer SERVER = EscrelServer.empty();
    private static final byte[] PICTURE = PlanPicture.of(BenchHand.demoSheet("cv-12"), Side.TRAIN, c -> false);

    private final Visitor visitor = new Visitor(SERVER.url());
    private int job;

    @AfterAll
    static void stop() {
        SERVER.close();
    }

    @BeforeEach
    void openAJob() {
        visitor.upload(
                "/calibres/import",
                Map.of(),
                "sheet",
                "cv-12.json",
                SheetJson.write(BenchHand.demoSheet("cv-12")).toString().getBytes(StandardCharsets.UTF_8));
        job = visitor.openJob("Tidewell photographed watch", "cv-12");
    }

    private OpenJob load() {
        return SERVER.bean(Workshop.class).load(job);
    }

    private List<PhotoAdded> photos() {
        return load().history().all(PhotoAdded.class).toList();
    }

    private String code() {
        String page = visitor.post("/jobs/" + job + "/phone", Map.of()).body();
        Matcher code = Pattern.compile("/phone/([A-Z0-9]{10})<").matcher(page);
        assertThat(code.find()).isTrue();
        return code.group(1);
    }

    @Test
    void picturesOfAPhoneGoToThePartAtHandAndTheBenchGoesOn() {
        String code = code();
        try (Browser bench = new Browser();
                Browser phone = new Browser()) {
            bench.open(SERVER.url() + "/jobs/" + job + "/strip");
            bench.see("#bench");
            assertThat(bench.heading()).isEqualTo("Case back");

            phone.driver()
                    .executeCdpCommand(
                            "Emulation.setDeviceMetricsOverride",
                            Map.of("width", 390, "height", 844, "deviceScaleFactor", 2, "mobile", true));
            phone.open(SERVER.url() + "/phone/" + code);
            phone.seeText("Case back");
            Number wide = (Number) phone.driver().executeScript("return document.documentElement.scrollWidth");
            assertThat(wide.intValue())
                    .as("nothing to push sideways on a phone")
                    .isLessThanOrEqualTo(390);
            send(phone);
            phone.seeText("Photo 1 is kept with Case back");

            // the page on the bench was made before the photo came: its key still counts
            bench.keyOnBench('5');
            assertThat(load().history().last(PartOff.class).orElseThrow().part())
                    .isEqualTo("case-back");
            phone.open(SERVER.url() + "/phone/" + code);
            phone.seeText(bench.heading());
            send(phone);
            phone.seeText("Photo 2 is kept");
        }
        assertThat(photos()).extracting(PhotoAdded::part).containsExactly("case-back", "stem");
    }

    private void send(Browser phone) {
        try {
            Path file = Files.createTempFile("taken", ".png");
            Files.write(file, PICTURE);
            phone.driver().findElement(By.id("shutter")).sendKeys(file.toString());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void anOldCodeAndWhatIsNoPictureAreRefused() {
        String old = code();
        String now = code();
        assertThat(visitor.get("/phone/" + old).body()).contains("This code no longer holds", "Show a new code");
        assertThat(visitor.upload("/phone/" + old, Map.of(), "picture", "a.png", PICTURE)
                        .body())
                .contains("no longer holds");
        assertThat(visitor.upload("/phone/" + now, Map.of(), "picture", "a.png", new byte[] {1, 2, 3})
                        .statusCode())
                .isEqualTo(422);
        visitor.post("/jobs/" + job + "/phone/end", Map.of());
        assertThat(visitor.get("/phone/" + now).body()).contains("no longer holds");
        assertThat(photos()).isEmpty();
    }

    @Test
    void theCodeOnTheScreenIsTheAddress() throws Exception {
        Qr qr = Qr.of("http://192.168.7.20:8080/phone/ABCDEFGHJK");
        int scale = 6;
        int side = qr.size() * scale + 80;
        int[] pixels = new int[side * side];
        Arrays.fill(pixels, 0xffffff);
        Matcher module = Pattern.compile("M(\\d+) (\\d+)h1v1h-1z").matcher(qr.path());
        while (module.find()) {
            for (int i = 0; i < scale * scale; i++) {
                int x = 40 + Integer.parseInt(module.group(1)) * scale + i % scale;
                int y = 40 + Integer.parseInt(module.group(2)) * scale + i / scale;
                pixels[y * side + x] = 0;
            }
        }
        assertThat(new QRCodeReader()
                        .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(side, side, pixels))))
                        .getText())
                .isEqualTo("http://192.168.7.20:8080/phone/ABCDEFGHJK");
    }

    @Test
    void picturesThatComeIntoAFolderAreKeptAndWhatWasThereIsNot(@TempDir Path folder) throws Exception {
        Files.write(folder.resolve("before.png"), PICTURE);
        assertThat(visitor.post(
                                "/jobs/" + job + "/phone/folder",
                                Map.of("folder", folder.resolve("none").toString()))
                        .body())
                .contains("There is no folder");
        visitor.post("/jobs/" + job + "/phone/folder", Map.of("folder", folder.toString()));
        visitor.get("/jobs/" + job + "/strip?part=dial");
        Files.write(folder.resolve("one.png"), PICTURE);
        Files.writeString(folder.resolve("two.jpg"), "no picture at all");

        await().until(() -> photos().size() == 1
                && visitor.get("/jobs/" + job + "/phone").body().contains("two.jpg"));
        assertThat(photos().get(0).part()).isEqualTo("dial");
        assertThat(folder.resolve("one.png")).exists();
        visitor.post("/jobs/" + job + "/phone/folder/stop", Map.of());
        assertThat(SERVER.bean(WatchedFolder.class).watched()).isNull();
    }
}
