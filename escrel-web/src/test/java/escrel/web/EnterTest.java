package escrel.web;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.casework.WaterTested;
import escrel.core.service.Step;
import escrel.core.triage.Checked;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Where the buttons of a form say different things, Enter in a field says none of them: one has to be chosen. */
class EnterTest {
    private static final EscrelServer SERVER = EscrelServer.demo();
    private static Browser browser;

    private int job;

    @BeforeAll
    static void openTheBrowser() {
        browser = new Browser();
    }

    @AfterAll
    static void closeTheBrowser() {
        browser.close();
    }

    @BeforeEach
    void openAJob() {
        job = new Visitor(SERVER.url()).openJob("Tidewell harbour watch", "cv-12");
    }

    private <S extends Step> void untilRecorded(Class<S> kind) {
        browser.untilTrue("it to be recorded", () -> load().history().last(kind).isPresent());
    }

    private OpenJob load() {
        return SERVER.bean(Workshop.class).load(job);
    }

    @Test
    void checkIsAnsweredByAKeyAndNotByTheNote() {
        browser.open(SERVER.url() + "/jobs/" + job + "/checks?check=WINDS");
        browser.type("#check-words", "slips under the thumb");
        browser.enter();
        browser.see("#check-words").sendKeys(Keys.ESCAPE);
        browser.key('2');

        untilRecorded(Checked.class);
        assertThat(load().history().all(Checked.class))
                .extracting(Checked::outcome)
                .containsExactly(Checked.Outcome.NO);
        assertThat(load().history().last(Checked.class).orElseThrow().words()).isEqualTo("slips under the thumb");
    }

    /** Nothing is said to have held that nobody said so of. */
    @Test
    void waterTestIsPassedByAButtonAndNotByItsPressure() {
        browser.open(SERVER.url() + "/jobs/" + job + "/case-work");
        browser.type("#bar", "3");
        browser.enter();
        browser.click("button[name=passed][value=false]");

        untilRecorded(WaterTested.class);
        assertThat(load().history().all(WaterTested.class))
                .extracting(WaterTested::passed)
                .containsExactly(false);
    }
}
