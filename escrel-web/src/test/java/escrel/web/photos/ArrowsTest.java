package escrel.web.photos;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.service.PhotoMarked;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;

/** Arrows on a photo: by pointer and by keys, kept beside the picture, drawn into its copy for the report. */
class ArrowsTest {
    private final EscrelServer server = EscrelServer.demo();
    private final int job = new Visitor(server.url()).openJob("Photographed watch", "cv-12");
    private final BenchHand hand = new BenchHand(server, job);

    private static byte[] picture() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(400, 300, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    private List<PhotoMarked.Arrow> arrows() {
        return PhotoMarked.on(hand.load().history(), 1);
    }

    @Test
    void arrowIsDrawnByPointerAndByKeysAndStandsInTheReport() throws IOException {
        hand.upload("/photos", Map.of("caption", "as it came"), picture());
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/film?photo=1");
            WebElement photo = browser.see("[data-arrow-picture]");
            new Actions(browser.driver())
                    .moveToElement(photo, 0, 0)
                    .clickAndHold()
                    .moveByOffset(60, 40)
                    .release()
                    .perform();
            browser.see(".arrow-shaft");
            browser.driver().executeScript("arguments[0].focus()", photo);
            new Actions(browser.driver())
                    .sendKeys(Keys.ENTER, Keys.ARROW_LEFT, Keys.ARROW_LEFT, Keys.ARROW_UP, Keys.ENTER)
                    .perform();
            browser.untilTrue(
                    "two arrows to be drawn",
                    () -> browser.driver()
                                    .findElements(org.openqa.selenium.By.cssSelector(".arrow-shaft"))
                                    .size()
                            == 2);
            browser.driver().executeScript("document.activeElement.blur()");
            browser.key('7');
            browser.untilTrue("the arrows to be kept", () -> arrows().size() == 2);
        }
        assertThat(arrows().get(0).toX()).isGreaterThan(arrows().get(0).x());
        assertThat(arrows().get(1)).isEqualTo(new PhotoMarked.Arrow(0.5, 0.5, 0.42, 0.46));
        Visitor visitor = new Visitor(server.url());
        assertThat(visitor.get("/jobs/" + job + "/report").body()).contains("/film/1/marked");
        assertThat(visitor.get("/jobs/" + job + "/report.pdf").statusCode()).isEqualTo(200);
    }

    /** On a black picture an arrow is the only thing that is red, and it lies where it was said. */
    @Test
    void arrowIsInTheCopyAndNotInThePicture() throws IOException {
        hand.upload("/photos", Map.of("caption", ""), picture());
        hand.post("/film/1/arrows", Map.of("arrows", "0.1,0.5,0.9,0.5"));

        byte[] jpeg = server.bean(MarkedPictures.class).small(job, 1, arrows()).orElseThrow();
        BufferedImage marked = ImageIO.read(new ByteArrayInputStream(jpeg));
        int middle = marked.getRGB(marked.getWidth() / 2, marked.getHeight() / 2);
        assertThat((middle >> 16) & 0xff).isGreaterThan(150);
        assertThat(middle & 0xff).isLessThan(110);
        int corner = marked.getRGB(5, 5);
        assertThat((corner >> 16) & 0xff).isLessThan(30);
        BufferedImage plain = ImageIO.read(new ByteArrayInputStream(
                server.bean(MarkedPictures.class).small(job, 1, List.of()).orElseThrow()));
        assertThat((plain.getRGB(plain.getWidth() / 2, plain.getHeight() / 2) >> 16) & 0xff)
                .isLessThan(30);
    }

    @Test
    void whatIsNoArrowIsRefused() throws IOException {
        hand.upload("/photos", Map.of("caption", ""), picture());
        int before = hand.load().sequence();

        assertThat(hand.post("/film/1/arrows", Map.of("arrows", "0.1,0.5,0.9")).body())
                .contains("is no arrow");
        assertThat(hand.post("/film/1/arrows", Map.of("arrows", "0.1,0.5,2,0.5"))
                        .body())
                .contains("lies within its picture");
        assertThat(hand.post("/film/1/arrows", Map.of("arrows", "0,0,NaN,1")).body())
                .contains("lies within its picture");
        assertThat(hand.post("/film/1/arrows", Map.of("arrows", "0,0,1,1 ".repeat(13)))
                        .body())
                .contains("12 arrows at most");
        assertThat(hand.post("/film/9/arrows", Map.of("arrows", "")).body()).contains("no photo 9");
        assertThat(hand.load().sequence()).isEqualTo(before);
    }
}
