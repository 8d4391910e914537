package escrel.web.strip;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.parts.Finding;
import escrel.core.service.Happened;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What happens to a part is said by one key from climb, inspection and wash, and one is back where one was. */
class HappenedElsewhereTest {
    private static final EscrelServer SERVER = EscrelServer.demo();
    private static Browser browser;

    @BeforeAll
    static void openTheBrowser() {
        browser = new Browser();
    }

    @AfterAll
    static void closeTheBrowser() {
        browser.close();
    }

    private static OpenJob load(int job) {
        return SERVER.bean(Workshop.class).load(job);
    }

    private static void openRoom(int job, String room) {
        browser.open(SERVER.url() + "/jobs/" + job + "/" + room);
        browser.see("[data-key='0']");
    }

    private static void backIn(String room) {
        browser.untilTrue(
                "back in " + room, () -> browser.driver().getCurrentUrl().endsWith("/" + room));
    }

    @Test
    void partAtHandOnTheClimbFliesAndTheUndoOfTheClimbTakesItBack() {
        int job = Stripped.cv12(SERVER, 20);
        openRoom(job, "climb");
        String part = browser.heading();
        browser.key('0');
        browser.seeText(part + ": what of it?");
        browser.keyOnBench('1');
        browser.key('1'); // lost: open a search
        backIn("climb");

        assertThat(load(job).job().searches().lost()).hasSize(1);
        browser.seeText("takes back: " + part + " lost");
        browser.keyOnBench('-');
        assertThat(load(job).job().searches().lost()).isEmpty();
    }

    @Test
    void anyPartIsFoundByThreeLettersFromTheInspectionAndTheWash() {
        int job = Stripped.cv12(SERVER, 20);
        openRoom(job, "inspect");
        browser.key('0');
        browser.seeText("Which part?");
        browser.type("#say", "hour wh");
        browser.enter();
        browser.seeText("Hour wheel: what of it?");
        for (char key : "211".toCharArray()) {
            browser.keyOnBench(key); // look, a finding, the part as a whole
        }
        browser.keyOnBench('2'); // to mend
        browser.key('5'); // bent
        backIn("inspect");
        assertThat(load(job).job().findings().open())
                .extracting(Finding::part, Finding::what)
                .containsExactly(org.assertj.core.groups.Tuple.tuple("hour-wheel", "bent"));

        openRoom(job, "wash");
        browser.key('0');
        browser.type("#say", "hour wh");
        browser.enter();
        browser.seeText("Hour wheel: what of it?");
        browser.key('4'); // was fitted the wrong way round
        backIn("wash");
        assertThat(load(job).history().last(Happened.class).orElseThrow().what())
                .isEqualTo(Happened.What.WRONG_WAY_ROUND);
        assertThat(load(job).job().findings().open()).hasSize(1);
    }
}
