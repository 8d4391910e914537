package escrel.web.arrival;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.storage.SheetMapper;
import escrel.web.storage.Sheets;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.time.OffsetDateTime;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The quay watch of job 8: a CV-12 by its size, its jewels and what it has not got. */
class WhichCalibreTest {
    @Test
    void quayWatchIsRecognisedAndBound() {
        EscrelServer server = EscrelServer.demo();
        BenchHand hand = new BenchHand(server, new Visitor(server.url()).openJob("Skarholt quay watch", ""));
        int job = hand.load().number();
        hand.post("/outside", Map.of("piece", "PUSHERS"));
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/arrival");
            browser.click("a[href$='/which']");
            browser.seeText("No beat was heard yet");
            browser.seeText("it has no pushers");
            browser.key('+');
            browser.type("#across", "23.6");
            browser.type("[name=jewels]", "17");
            browser.click("main form .main");
            browser.seeText("✓ 23.7 mm across");
            assertThat(browser.see(".candidates > li").getText()).contains("Corvane CV-12", "✓ 17 jewels");
            browser.click(".candidates > li button");
            browser.seeText("Corvane CV-12");
            browser.untilTrue("the calibre to be bound", () -> hand.load().sheet() != null);
        }
        assertThat(hand.load().sheet().id()).isEqualTo("cv-12");
    }

    /** A sheet of the library that was spoilt beneath the application is said, and spoils nothing else. */
    @Test
    void sheetThatCannotBeReadSpoilsNone() {
        try (EscrelServer server = EscrelServer.empty()) {
            Visitor visitor = new Visitor(server.url());
            int job = visitor.openJob("Skarholt quay watch", "");
            server.bean(Sheets.class).keep(BenchHand.demoSheet("cv-12"));
            server.bean(SheetMapper.class).insert("spoilt", 1, "Spoilt", "{", OffsetDateTime.now());

            String page = visitor.get("/jobs/" + job + "/which").body();

            assertThat(page).contains("Corvane CV-12", "1 sheet of the library cannot be read");
            assertThat(visitor.get("/jobs/" + job + "/which?diameter=-3&jewels=9999")
                            .statusCode())
                    .as("what is no size is as if not typed")
                    .isEqualTo(200);
        }
    }
}
