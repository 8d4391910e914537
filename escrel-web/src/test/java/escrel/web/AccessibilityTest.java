package escrel.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Results;
import com.deque.html.axecore.selenium.AxeBuilder;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every main view in both themes: names, roles, and contrast by the AA measure. */
class AccessibilityTest {
    private static Browser browser;

    @BeforeAll
    static void openTheBrowser() {
        browser = new Browser();
    }

    @AfterAll
    static void closeTheBrowser() {
        browser.close();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/",
                "/jobs?q=watch&stage=HANDED_OVER",
                "/jobs/new",
                "/jobs/5/arrival",
                "/jobs/5/readings",
                "/jobs/8/readings",
                "/jobs/5/strip",
                "/jobs/5/inspect",
                "/jobs/5/wash",
                "/jobs/5/climb",
                "/jobs/1/turn",
                "/jobs/5/handover",
                "/jobs/1/report",
                "/calibres",
                "/calibres/cv-12",
                "/calibres/cv-12/versions/1",
                "/calibres/cv-24/edit",
                "/settings",
                "/jobs/3/strip",
                "/jobs/3/strip?panel=more",
                "/jobs/3/tray",
                "/jobs/3/way",
                "/jobs/3/film",
                "/jobs/3/plate",
                "/jobs/3/learnt",
                "/jobs/8/strip",
                "/jobs/5/schools",
                "/jobs/8/bind?calibre=cv-12",
                "/jobs/2/readings",
                "/jobs/2/desk",
                "/jobs/9/desk?source=simulated:WORN_PIVOT",
                "/jobs/2/running",
                "/jobs/8/running",
                "/jobs/2/turn",
                "/jobs/2/expected",
                "/jobs/2/recordings/1",
                "/devices",
                "/safe"
            })
    void hasNoViolations(String path) {
        browser.open(EscrelServer.demo().url() + path);
        for (String theme : List.of("paper", "lamp")) {
            browser.driver().executeScript("document.documentElement.dataset.theme = arguments[0]", theme);
            Results results = new AxeBuilder()
                    // within the page: a second window now and then fails to open, and there are no frames to reach
                    .setLegacyMode(true)
                    .withTags(List.of("wcag2a", "wcag2aa", "wcag21aa"))
                    .analyze(browser.driver());
            assertThat(results.getPasses()).extracting(r -> r.getId()).contains("color-contrast");
            assertThat(results.getViolations())
                    .extracting(v -> v.getId() + ": " + v.getNodes().get(0).getHtml() + " "
                            + v.getNodes().size())
                    .as(path + " in " + theme)
                    .isEmpty();
        }
    }
}
