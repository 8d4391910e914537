package escrel.web;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.handover.Stage;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.Json;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Recordings;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.springframework.core.io.ClassPathResource;
import tools.jackson.databind.node.ObjectNode;

/** From parcel to report for a new CV-12 service, with the keyboard at the bench and a restart in the middle. */
@Tag("long")
class WholePathTest {
    private static final int MOST_KEYS = 200;

    @Test
    void fromParcelToReport() throws IOException {
        try (EscrelServer server = EscrelServer.empty();
                Browser browser = new Browser()) {
            takeInTheSheet(server);
            openTheJob(server, browser);
            readAsReceived(browser);
            strip(server, browser);
            decide(browser);
            wash(browser);
            lookAgain(browser);
            climb(server, browser);
            readAtTheEnd(browser);
            handOver(server, browser);
        }
    }

    private void takeInTheSheet(EscrelServer server) throws IOException {
        byte[] sheet = new ClassPathResource("demo/calibres/cv-12.json").getContentAsByteArray();
        assertThat(new Visitor(server.url())
                        .upload("/calibres/import", Map.of(), "sheet", "cv-12.json", sheet)
                        .body())
                .contains("Corvane CV-12 is kept as version 1");
    }

    private void openTheJob(EscrelServer server, Browser browser) {
        browser.open(server.url());
        browser.seeText("No watch is in the house");
        browser.key('+');
        browser.type("[name=watch]", "Tidewell service watch");
        browser.type("[name=owner]", "pilot boat, ferry Auk");
        browser.type("[name=complaint]", "loses a minute a day");
        browser.click("main button.main");
        browser.seeText("The calibre is not known yet");
        browser.choose("[name=calibre]", "cv-12");
        browser.click("form[action$='/calibre'] button");
        browser.seeText("Corvane CV-12, sheet version 1");
    }

    private void readAsReceived(Browser browser) {
        browser.key('6');
        browser.seeText("Read dial up");
        browser.file("[name=sound]", Recordings.cv12File(-62, 205));
        browser.click("form[action$='/recording'] button");
        browser.seeText("What was heard");
        assertThat(browser.text()).contains("−62.", "from its sound");

        // the next position comes up by itself; this one is typed, as a range
        browser.seeText("Read dial down");
        browser.key('8');
        browser.type("form[action$='/typed'] [name=rate]", "-70..-58");
        browser.type("form[action$='/typed'] [name=amplitude]", "198");
        browser.click("form[action$='/typed'] button");
        browser.seeText("−70.0 … −58.0");
    }

    private void strip(EscrelServer server, Browser browser) {
        browser.key('6');
        browser.see("#bench");
        assertThat(browser.heading()).isEqualTo("Case back");

        int presses = 0;
        int parts = 0;
        boolean restarted = false;
        while (!browser.text().contains("Bare plate")) {
            String part = browser.heading();
            if (part.equals("Crown wheel")) {
                // chipped: two grades worse than good, to be replaced, with a note
                browser.key('6');
                browser.key('6');
                browser.key('9');
                browser.key('+');
                browser.type("#note", "two teeth chipped");
                browser.driver().executeScript("document.activeElement.blur()");
            }
            browser.keyOnBench('5');
            presses++;
            if (browser.heading().equals(part)) {
                assertThat(browser.driver().findElements(By.cssSelector(".asks.now")))
                        .as("a second press is only asked for by a question, at " + part)
                        .isNotEmpty();
                browser.keyOnBench('5');
                presses++;
            }
            parts++;
            if (parts == 20 && !restarted) {
                restarted = true;
                server.restart();
                browser.open(server.url() + "/jobs/1/strip");
                assertThat(browser.see(".heads").getText()).contains("20 off");
            }
            assertThat(presses).isLessThan(MOST_KEYS);
        }
        OpenJob job = server.bean(Workshop.class).load(1);
        assertThat(job.history().all(PartOff.class))
                .hasSize(42)
                .allSatisfy(s -> assertThat(s.inSpiteOf())
                        .as("no proposal breaks a rule: " + s.part())
                        .isEmpty());
        assertThat(job.history().all(PartOff.class).filter(s -> s.part().equals("crown-wheel")))
                .singleElement()
                .satisfies(s -> assertThat(s.note()).isEqualTo("two teeth chipped"));

        // undo, and off again
        String last = browser.heading();
        browser.keyOnBench('-');
        browser.seeText("Taken back: " + last + " off");
        browser.keyOnBench('5');
        if (!browser.text().contains("Bare plate")) {
            browser.keyOnBench('5');
        }
        browser.seeText("Bare plate");
    }

    private void decide(Browser browser) {
        browser.click("a[href$='/inspect']");
        browser.see("#bench");
        browser.key('/');
        browser.seeText("What to do about it");
        assertThat(browser.see(".card-title").getText()).isEqualTo("Crown wheel");
        browser.type(".way:has([value=REPLACE_NEW]) [name=source]", "the movement house's parts drawer");
        browser.click(".way:has([value=REPLACE_NEW]) .way-head");
        browser.seeText("replace new, from the movement house's parts drawer");
        // it arrives, and owes a rinse and a look of its own
        browser.click("a[href*='finding=']");
        browser.seeText("Is the other one here: Crown wheel");
        browser.key('1');
        browser.untilTrue(
                "the other wheel to be asked for no more",
                () -> !browser.text().contains("Is the other one here: Crown wheel"));
    }

    private void wash(Browser browser) {
        browser.key('6');
        browser.seeText("parts to clean");
        assertThat(browser.text()).contains("shellac holds its stones", "flammable");
        // the first basket each time: the case has a bath of its own, dial and hands go into none
        while (!browser.heading().startsWith("Everything")) {
            browser.see(".basket [data-key='1']");
            String before = browser.heading();
            browser.key('1');
            browser.untilTrue("the basket to be clean", () -> !browser.heading().equals(before));
        }
        browser.seeText("Everything that came off is clean");
    }

    private void lookAgain(Browser browser) {
        browser.click("a[href$='/inspect']");
        browser.seeText("second look, clean");
        browser.key('.');
        browser.seeText("of them?");
        browser.key('5');
        browser.seeText("judged: good");
        browser.click("a[href$='/wash']");
        browser.seeText("Everything that came off is clean");
    }

    private void climb(EscrelServer server, Browser browser) {
        browser.key('6');
        browser.see("#bench");
        while (!browser.see(".card .over").getText().contains("part")) {
            browser.keyOnBench('2');
        }
        // a visit first: it must not count as fitted
        int before = openLines(browser);
        browser.keyOnBench('7');
        browser.seeText("not counted as fitted");
        assertThat(openLines(browser)).isEqualTo(before);
        browser.keyOnBench('7');

        int presses = 0;
        while (!browser.text().contains("The movement is whole")) {
            if (browser.heading().equals("First readings of the bare movement")) {
                browser.key('5');
                readBare(browser);
            } else {
                browser.keyOnBench('5');
            }
            assertThat(presses++).isLessThan(MOST_KEYS);
        }
        assertThat(server.bean(Workshop.class).load(1).history().all(PartOn.class))
                .hasSize(41)
                .allSatisfy(s -> assertThat(s.inSpiteOf()).isEmpty());
    }

    /** The running movement is read before the dial goes on; then the climb goes on where it was. */
    private void readBare(Browser browser) {
        browser.seeText("Read dial up");
        browser.file("[name=sound]", Recordings.cv12File(9, 265));
        browser.click("form[action$='/recording'] button");
        browser.seeText("+9.");
        browser.key('6');
        browser.see("#bench");
    }

    private static int openLines(Browser browser) {
        String text = browser.see(".card .facts").getText();
        return Integer.parseInt(text.replaceAll("(?s).*?(\\d+) lines.*", "$1"));
    }

    private void readAtTheEnd(Browser browser) {
        browser.click("a[href*='FINAL_CASED']");
        browser.seeText("Read dial up");
        browser.file("[name=sound]", Recordings.cv12File(6, 272));
        browser.click("form[action$='/recording'] button");
        browser.seeText("+6.");
        browser.click("nav a[href$='/turn']");
        browser.seeText("The mean rate came from");
        assertThat(browser.text()).contains("better beyond the noise", "not calibrated", "dial down");
    }

    private void handOver(EscrelServer server, Browser browser) {
        browser.click("nav a[href$='/handover']");
        browser.seeText("Every account balances");
        browser.key('5');
        browser.type("#to-whom", "to the pilot boat");
        browser.enter();
        browser.seeText("It went back");
        assertThat(server.bean(Workshop.class).load(1).stage()).isEqualTo(Stage.HANDED_OVER);

        Visitor visitor = new Visitor(server.url());
        assertThat(visitor.get("/jobs/1/report").body())
                .contains("replace new", "the movement house", "+6.", "1 replaced");
        assertThat(visitor.get("/jobs/1/report.pdf").body()).startsWith("%PDF-");
        String dossier = visitor.get("/jobs/1/dossier.json").body();
        ObjectNode sent = (ObjectNode) Json.MAPPER.readTree(dossier);
        sent.put("identity", "00000000-0000-4000-8000-000000000000");
        visitor.upload(
                "/jobs/import", Map.of(), "dossier", "d.json", sent.toString().getBytes(StandardCharsets.UTF_8));
        ObjectNode back = (ObjectNode)
                Json.MAPPER.readTree(visitor.get("/jobs/2/dossier.json").body());
        back.put("number", 1);
        assertThat(back).isEqualTo(sent);
    }
}
