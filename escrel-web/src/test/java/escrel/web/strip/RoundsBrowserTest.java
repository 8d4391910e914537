package escrel.web.strip;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.handover.Stage;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decided;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.Round;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

/**
 * A CV-12 is serviced, reads poorly, is opened by the way in to the mainspring, gets a new spring, is closed and read, is
 * opened again for the collet, closed, read and handed over: on the keypad alone, figures typed on it too.
 */
@Tag("long")
class RoundsBrowserTest {
    private static final int MOST_KEYS = 400;
    private static final String BARE = "First readings of the bare movement";

    private EscrelServer server;
    private Browser browser;
    private int job;

    @Test
    void threeRoundsOnTheKeypadAndTheTurnTellsThemApart() {
        server = EscrelServer.demo();
        try (Browser window = new Browser()) {
            browser = window;
            job = new Visitor(server.url()).openJob("Tidewell service watch", "cv-12");
            service();
            newSpring();
            collet();
            tellThemApart();
            handOver();
        }
    }

    private OpenJob load() {
        return server.bean(Workshop.class).load(job);
    }

    private void go(String room) {
        browser.open(server.url() + "/jobs/" + job + "/" + room);
    }

    private void service() {
        go("readings?state=AS_RECEIVED");
        read("-40", "205", "0.4");
        go("strip");
        strip();
        washAndLook();
        climb("3", "276", "0.4");
        go("readings?state=FINAL_CASED");
        read("3", "212", "0.4");
    }

    /** A closed movement asks why it is opened; one key says it, one how far. */
    private void newSpring() {
        // that a spring is to be replaced is decided and the new one is there: the keypad does the rest
        go("strip");
        browser.seeText("The movement is closed. Open it again: why?");
        browser.keyOnBench('3');
        browser.seeText("How far?");
        browser.keyOnBench('2');
        browser.seeText("a new part arrived");
        assertThat(browser.heading()).isEqualTo("Case back");
        stripMarking("Mainspring");
        browser.seeText("Mainspring is out.");
        assertThat(browser.text())
                .as("eight things lie in the tray of this round; letting the power down laid none there")
                .contains("off · tray 8", "none yet, 8 parts off")
                .doesNotContain("Bare plate");
        String finding = load().job().findings().all().get(0).key();
        server.bean(Workshop.class)
                .append(
                        job,
                        load().sequence(),
                        java.util.List.of(
                                new Decided(
                                        finding, escrel.core.parts.Decision.REPLACE_NEW, "", "Stennay material store"),
                                new CopyAtHand(
                                        "mainspring", CopyAtHand.Origin.NEW, "Stennay material store", "0.10 × 1.2")));
        washAndLook();
        climb("4", "288", "4.6");
        go("readings?state=FINAL_CASED");
        read("4", "288", "4.6");
    }

    private void collet() {
        go("strip");
        browser.keyOnBench('2');
        browser.seeText("How far?");
        // the balance with its cock
        browser.keyOnBench('4');
        strip();
        // more, happened, done between readings, collet turned
        browser.keyOnBench('/');
        browser.keyOnBench('8');
        browser.keyOnBench('0');
        browser.seeText("What was done?");
        browser.keyOnBench('1');
        browser.seeText("Collet turned on the staff");
        climb("5", "288", "0.4");
        go("readings?state=FINAL_CASED");
        read("5", "288", "0.4");
    }

    private void strip() {
        stripMarking("");
    }

    /** Everything proposed, a second press where something is asked; one part marked for replacement. */
    private void stripMarking(String replaced) {
        browser.see("#bench");
        int presses = 0;
        while (load().job().wayDown().next().isPresent()) {
            String part = browser.heading();
            if (part.equals(replaced)) {
                browser.key('9');
            }
            browser.keyOnBench('5');
            if (!browser.driver().findElements(By.cssSelector(".asks.now")).isEmpty()
                    && browser.heading().equals(part)) {
                browser.keyOnBench('5');
            }
            assertThat(presses++).isLessThan(MOST_KEYS);
        }
        assertThat(load().history().all(PartOff.class))
                .allSatisfy(s -> assertThat(s.inSpiteOf()).as(s.part()).isEmpty());
    }

    private void washAndLook() {
        go("wash");
        while (!browser.heading().startsWith("Everything")) {
            browser.see(".basket [data-key='1']");
            String before = browser.heading();
            browser.key('1');
            browser.untilTrue("the basket to be clean", () -> !browser.heading().equals(before));
        }
        go("inspect");
        browser.seeText("second look, clean");
        browser.key('.');
        browser.seeText("of them?");
        browser.key('5');
        browser.untilTrue(
                "the look to be recorded",
                () -> load().job().cleaning().toLookAt().isEmpty());
    }

    /** Everything open on the way up; where a line asks for a reading, it is taken and the climb goes on. */
    private void climb(String rate, String amplitude, String beatError) {
        go("climb");
        int presses = 0;
        while (!browser.text().contains("The movement is whole")) {
            if (browser.heading().equals(BARE)) {
                browser.key('5');
                browser.seeText("Read dial up");
                read(rate, amplitude, beatError);
                browser.key('6');
                browser.see("#bench");
            } else {
                browser.keyOnBench('5');
            }
            assertThat(presses++).isLessThan(MOST_KEYS);
        }
        assertThat(load().history().all(PartOn.class))
                .allSatisfy(s -> assertThat(s.inSpiteOf()).as(s.part()).isEmpty());
    }

    private void read(String rate, String amplitude, String beatError) {
        browser.seeText("Read dial up");
        int before = load().sequence();
        browser.key('8');
        browser.type("form[action$='/typed'] [name=rate]", rate);
        browser.type("form[action$='/typed'] [name=amplitude]", amplitude);
        browser.type("form[action$='/typed'] [name=beatError]", beatError);
        browser.enter();
        browser.untilTrue("the reading to be recorded", () -> load().sequence() > before);
        browser.seeText("Read dial down");
    }

    /** The spring's doing and the collet's, each apart. */
    private void tellThemApart() {
        assertThat(load().job().lives().rounds())
                .extracting(Round::reason)
                .containsExactly(
                        OpenedAgain.Reason.NOT_SAID, OpenedAgain.Reason.NEW_PART, OpenedAgain.Reason.BEAT_ERROR);
        go("turn");
        browser.seeText("Mainspring replaced, new");
        browser.seeText("collet turned on the staff");
        String line = browser.see(".time-line").getText();
        assertThat(line).contains("+76° better", "−4.2 ms better");
        assertThat(line.indexOf("Mainspring replaced")).isLessThan(line.indexOf("collet turned"));
        browser.open(server.url() + "/jobs/" + job + "/strip");
        assertThat(browser.driver().findElements(By.cssSelector(".spine"))).hasSize(2);
    }

    private void handOver() {
        go("handover");
        browser.seeText("Every account balances");
        browser.key('5');
        browser.type("#to-whom", "to the ferry office");
        browser.enter();
        browser.seeText("It went back");
        assertThat(load().stage()).isEqualTo(Stage.HANDED_OVER);
        assertThat(new Visitor(server.url()).get("/jobs/" + job + "/report").body())
                .contains("Opened again, a new part arrived", "Opened again, beat error", "Mainspring replaced");
        // it comes back: the same job is opened again
        new Visitor(server.url())
                .post(
                        "/jobs/" + job + "/strip/act",
                        Map.of("seq", load().sequence(), "act", "OPEN_AGAIN", "value", "GUARANTEE", "part", "dial"));
        assertThat(load().stage()).isEqualTo(Stage.STRIPPING);
    }
}
