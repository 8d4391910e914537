package escrel.web.find;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A job is found and opened with the keyboard alone. */
class FindBrowserTest {
    @Test
    void keyOpensTheSearchTypingNarrowsItAndArrowsOpenTheJob() {
        try (EscrelServer server = EscrelServer.empty();
                Browser browser = new Browser()) {
            Visitor visitor = new Visitor(server.url());
            int job = visitor.openJob("Zonal watch of the lamp room", "");
            visitor.openJob("Another watch", "");
            browser.open(server.url() + "/");
            browser.key('/');
            browser.seeText("Find a job");
            browser.seeText("2 jobs.");
            browser.see("#wanted:focus");

            browser.driver().switchTo().activeElement().sendKeys("lamp ro");
            browser.seeText("One job.");
            browser.driver().switchTo().activeElement().sendKeys(Keys.ARROW_DOWN);
            assertThat(browser.driver().switchTo().activeElement().getText())
                    .isEqualTo(job + " · Zonal watch of the lamp room");
            browser.driver().switchTo().activeElement().sendKeys(Keys.ARROW_UP);
            assertThat(browser.driver().switchTo().activeElement().getDomAttribute("id"))
                    .as("back in the field")
                    .isEqualTo("wanted");
            browser.driver().switchTo().activeElement().sendKeys(Keys.ARROW_DOWN);
            browser.driver().switchTo().activeElement().sendKeys(Keys.ENTER);

            browser.untilTrue(
                    "the job opens", () -> browser.driver().getCurrentUrl().contains("/jobs/" + job + "/"));
        }
    }
}
