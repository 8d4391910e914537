package escrel.web.trouble;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import org.junit.jupiter.api.Test;

/** Whatever a page in use is refused for is said on that page, whichever number the refusal has. */
class RefusedInPlaceTest {
    private final Visitor visitor = new Visitor(EscrelServer.demo().url());

    @Test
    void refusalIsSaidOnThePageThatAsked() {
        int job = visitor.openJob("Refused watch", "cv-12");
        try (Browser browser = new Browser()) {
            browser.open(EscrelServer.demo().url() + "/jobs/" + job + "/strip");
            browser.see("#bench");
            // 415: no form of ours is sent so; the answer is as any other refusal's
            browser.driver().executeScript("htmx.ajax('POST', '/jobs/" + job + "/photos', {source: document.body})");
            browser.seeText("Nothing was recorded or changed.");
            assertThat(browser.text()).contains("Case off the movement");

            browser.driver().executeScript("htmx.ajax('GET', '/jobs/999999/strip', {source: document.body})");
            browser.seeText("999999");
        }
    }
}
