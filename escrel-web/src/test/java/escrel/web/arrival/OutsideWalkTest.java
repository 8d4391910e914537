package escrel.web.arrival;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.outside.Outside;
import escrel.core.outside.OutsidePiece;
import escrel.core.parts.Finding;
import escrel.core.service.PhotoAdded;
import escrel.core.triage.Check;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/** A parcel arrives: everything said by keyboard alone, counted. */
@Tag("long")
class OutsideWalkTest {
    private static final Pattern JOB = Pattern.compile("/jobs/(\\d+)/");

    private final EscrelServer server = EscrelServer.demo();
    private int acts;

    /** A key act: what is typed as a name or in the owner's words is none. */
    private void act(Browser browser, CharSequence key) {
        acts++;
        new Actions(browser.driver()).sendKeys(key).perform();
    }

    private static void words(Browser browser, String words) {
        new Actions(browser.driver()).sendKeys(words).perform();
    }

    private void key(Browser browser, BenchHand hand, char key, boolean records) {
        acts++;
        int before = hand.load().sequence();
        String page = browser.driver().getCurrentUrl();
        browser.key(key);
        browser.untilTrue(
                "key " + key + " to be done",
                () -> records
                        ? hand.load().sequence() > before
                        : !browser.driver().getCurrentUrl().equals(page));
        browser.see("main");
    }

    /** A watch like job 8, all well but crystal, crown and hands: in fewer than 40 key acts. */
    @Test
    void arrivalOfAQuayWatchTakesFewerThanFortyKeys() {
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/new");
            browser.untilTrue("the first field to have the focus", () -> "watch".equals(focused(browser)));
            words(browser, "Skarholt quay watch");
            act(browser, Keys.TAB);
            words(browser, "Crane driver, Stennay quay");
            act(browser, Keys.TAB);
            words(browser, "leaves word at the chandlery");
            act(browser, Keys.TAB);
            words(browser, "Skarholt");
            while (!"complaint".equals(focused(browser))) {
                act(browser, Keys.TAB);
            }
            words(browser, "Stopped after a fall from the crane ladder.");
            while (!focused(browser).isEmpty() && !focused(browser).equals("open")) {
                act(browser, Keys.TAB);
            }
            act(browser, Keys.ENTER);
            browser.untilTrue(
                    "the job to be opened",
                    () -> browser.driver().getCurrentUrl().endsWith("/arrival"));
            Matcher number = JOB.matcher(browser.driver().getCurrentUrl());
            assertThat(number.find()).isTrue();
            BenchHand hand = new BenchHand(server, Integer.parseInt(number.group(1)));

            key(browser, hand, '5', false);
            browser.seeText("What came in the parcel?");
            acts++;
            browser.key('2');
            key(browser, hand, '5', true);
            // crystal broken and cracked, crown to be mended and worn, no pushers, hands to be mended and bent
            for (String keys : List.of("42", "5", "5", "5", "31", "0", "5", "5", "31", "5")) {
                if (keys.length() == 2) {
                    key(browser, hand, keys.charAt(0), false);
                    key(browser, hand, keys.charAt(1), true);
                } else {
                    key(browser, hand, keys.charAt(0), true);
                }
            }
            browser.seeText("The outside was looked at");
            key(browser, hand, '5', false);
            // swings, does not wind, sets, no date, dry; dial, hands, case and chronograph are known from outside
            for (char answer : "12141".toCharArray()) {
                key(browser, hand, answer, true);
            }
            browser.seeText("Everything was tried");
            key(browser, hand, '6', false);
            key(browser, hand, '1', true);

            Outside outside = Outside.of(hand.load().history());
            assertThat(outside.left()).isEmpty();
            assertThat(outside.parcel().orElseThrow().said()).isEqualTo("the watch, strap or bracelet");
            assertThat(hand.load().job().findings().all())
                    .extracting(Finding::what)
                    .containsExactly("cracked: crystal", "worn: crown", "bent: hands");
            assertThat(hand.load().job().triage().checks()).hasSize(Check.values().length);
            assertThat(new Visitor(server.url())
                            .get("/jobs/" + number.group(1) + "/report")
                            .body())
                    .contains("In the parcel: the watch, strap or bracelet.", "crystal broken", "hands mend");
        }
    }

    @Test
    void aPhotoShowsThePieceItWasTakenOf() throws IOException {
        Visitor visitor = new Visitor(server.url());
        BenchHand hand = new BenchHand(server, visitor.openJob("Skarholt watch, photographed", "cv-12"));
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", picture);
        String page = visitor.upload(
                        "/jobs/" + hand.load().number() + "/photos",
                        Map.of("piece", "CROWN"),
                        "picture",
                        "p.png",
                        picture.toByteArray())
                .body();
        assertThat(page).contains("alt=\"photo of the crown\"");
        assertThat(hand.load().history().last(PhotoAdded.class).orElseThrow().caption())
                .isEqualTo("crown");
    }

    private static String focused(Browser browser) {
        Object name = browser.driver()
                .executeScript(
                        "const e = document.activeElement; return e.matches('button.main') ? 'open' : e.name || e.tagName");
        return String.valueOf(name);
    }

    @Test
    void restIsGoodInOneActAndABadPieceSaysWhatIsWrongWithIt() {
        Visitor visitor = new Visitor(server.url());
        BenchHand hand = new BenchHand(server, visitor.openJob("Skarholt watch", "cv-12"));

        assertThat(hand.post("/outside", Map.of("piece", "CRYSTAL", "grade", "BROKEN"))
                        .body())
                .contains("What is wrong with the crystal is not said");
        hand.post("/outside", Map.of("piece", "BACK", "grade", "MISSING"));
        assertThat(hand.load().job().findings().all()).singleElement().satisfies(f -> {
            assertThat(f.defect()).isEqualTo(Defect.ABSENT);
            assertThat(f.words()).isEqualTo("back");
        });
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + hand.load().number() + "/outside?piece=CRYSTAL");
            browser.key('.');
            browser.seeText("Good, all 9 of them?");
            browser.key('5');
            browser.seeText("What came in the parcel?");
            browser.key('-');
            browser.untilTrue(
                    "all of them to be taken back",
                    () -> Outside.of(hand.load().history()).left().size() == 9);
        }
        hand.post("/outside/rest", Map.of());
        Outside outside = Outside.of(hand.load().history());
        assertThat(outside.grade(OutsidePiece.BACK)).contains(Grade.MISSING);
        assertThat(outside.grade(OutsidePiece.STRAP)).contains(Grade.GOOD);
        assertThat(hand.post("/outside/rest", Map.of()).body()).contains("Everything was looked at");
        assertThat(hand.post("/parcel", Map.of("words", " ")).body()).contains("What came is not said");
    }
}
