package escrel.web;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** Keys act where one looks, and only there; whoever cannot have that switches them off. */
class KeysBrowserTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Browser browser = new Browser();

    @AfterEach
    void close() {
        browser.close();
    }

    private int sequence(int job) {
        return server.bean(Workshop.class).load(job).sequence();
    }

    private String text(String css) {
        return String.valueOf(
                browser.driver().executeScript("return document.querySelector(arguments[0])?.textContent ?? ''", css));
    }

    /** "5 off" is read in the dialog, and pressed: no part may come off behind it. */
    @Test
    void nothingActsBehindTheListOfKeys() {
        int job = Stripped.cv12(server, 3);
        int before = sequence(job);
        browser.open(server.url() + "/jobs/" + job + "/strip");
        browser.key('?');
        browser.see("dialog[open]");

        browser.key('5');
        browser.key('-');
        browser.key('?');

        assertThat(browser.driver().findElements(By.cssSelector("dialog[open]")))
                .isEmpty();
        assertThat(sequence(job)).isEqualTo(before);
        browser.keyOnBench('5');
        // one step, and none that came late from before
        assertThat(sequence(job)).isEqualTo(before + 1);
    }

    @Test
    void singleKeysCanBeSwitchedOffAndStaySo() {
        int job = Stripped.cv12(server, 3);
        int before = sequence(job);
        browser.open(server.url() + "/jobs/" + job + "/strip");
        browser.key('?');
        browser.click("[data-single-keys]");
        browser.click("dialog form button");

        browser.key('5');
        browser.open(server.url() + "/jobs/" + job + "/strip");
        browser.key('5');
        assertThat(sequence(job)).isEqualTo(before);
        assertThat(browser.driver().executeScript("return document.documentElement.dataset.keys"))
                .isEqualTo("off");

        browser.click("[data-help]");
        browser.click("[data-single-keys]");
        browser.click("dialog form button");
        browser.keyOnBench('5');
        // one step, and none that came late from before
        assertThat(sequence(job)).isEqualTo(before + 1);
    }

    /** A choice is made before it is sent: arrows through a list of states must not leave the page at each. */
    @Test
    void choosingASideOfTheTurnSendsNothing() {
        browser.open(server.url() + "/jobs/2/turn");
        browser.driver().executeScript("window.notLeft = true");
        browser.see("select[name=before]").sendKeys("f");
        browser.see("select[name=after]").sendKeys("r");
        assertThat(browser.driver().executeScript("return window.notLeft")).isEqualTo(true);
        assertThat(browser.driver().getCurrentUrl()).endsWith("/jobs/2/turn");
        browser.click(".turn-sides button");
        browser.untilTrue(
                "the two sides to be sent",
                () -> browser.driver().getCurrentUrl().contains("before="));
    }

    @Test
    void tabsOfASheetAreOneStopAndGoByArrows() {
        browser.open(server.url() + "/calibres/cv-12/edit");
        WebElement first = browser.see("[role=tab][aria-selected=true]");
        first.click();
        first.sendKeys(Keys.ARROW_RIGHT);

        WebElement second = browser.driver().switchTo().activeElement();
        assertThat(second.getAttribute("id")).isEqualTo("tab-PARTS");
        assertThat(browser.driver().findElement(By.id("table-PARTS")).isDisplayed())
                .isTrue();
        assertThat(browser.driver().findElement(By.id("table-DATA")).isDisplayed())
                .isFalse();
        assertThat(browser.driver().findElements(By.cssSelector("[role=tab][tabindex='0']")))
                .hasSize(1);
    }

    /** What a step did is told once, in a place that is never swapped; and the focus is where it was. */
    @Test
    void swapKeepsTheFocusAndTellsWhatWasDone() {
        int job = Stripped.cv12(server, 3);
        browser.open(server.url() + "/jobs/" + job + "/strip");
        WebElement rung = browser.see("#bench .rung a");
        browser.driver().executeScript("arguments[0].focus()", rung);
        String had = String.valueOf(rung.getDomAttribute("href"));
        browser.key('5');
        browser.untilTrue("to be told", () -> text("#live").contains("off ·"));

        assertThat(browser.driver().executeScript("return document.activeElement.getAttribute('href')"))
                .isEqualTo(had);
    }
}
