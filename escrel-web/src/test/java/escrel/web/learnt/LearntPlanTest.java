package escrel.web.learnt;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.learning.SheetDifference;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** What was learnt stands on the plan where it belongs, and is accepted or refused there as well as in the list. */
class LearntPlanTest {
    private final EscrelServer server = EscrelServer.demo();

    @Test
    void lineIsRefusedAndAcceptedAtItsPartOnThePlan() {
        int job = Stripped.cv12(server, 30);
        BenchHand hand = new BenchHand(server, job);
        String part = hand.load().teardown().order().stream()
                .filter(p -> p.endsWith("-wheel"))
                .findFirst()
                .orElseThrow();
        hand.post(
                "/strip/act",
                Map.of("act", "RENAME", "part", part, "side", "TRAIN", "value", "", "words", "Wheel by another name"));
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/learnt");
            WebElement mark = browser.see(".learnt-mark[data-part='" + part + "']");
            String line = "[data-line-part='" + part + "'] input";
            List<WebElement> lines = browser.driver().findElements(By.cssSelector(line));
            assertThat(lines).isNotEmpty().allMatch(WebElement::isSelected);
            assertThat(mark.getAttribute("aria-checked")).isEqualTo("true");
            assertThat(mark.getAttribute("aria-label")).contains("Wheel by another name");

            mark.sendKeys(Keys.ENTER);
            assertThat(lines).noneMatch(WebElement::isSelected);
            assertThat(mark.getAttribute("aria-checked")).isEqualTo("false");

            mark.click();
            assertThat(lines).allMatch(WebElement::isSelected);
            lines.get(0).click();
            assertThat(mark.getAttribute("aria-checked")).isEqualTo(lines.size() == 1 ? "false" : "mixed");
        }
    }

    @Test
    void marksAtOnePlaceStandBesideEachOther() {
        List<LearntPlan> plans = LearntPlan.of(
                new BenchHand(server, 3).load(),
                new BenchHand(server, 3)
                        .load().movement().parts().stream()
                                .map(p -> new SheetDifference.Line(
                                        p.code(), SheetDifference.Kind.NEW_PART, p.name(), true, p.code()))
                                .toList());

        assertThat(plans).hasSize(2);
        for (LearntPlan plan : plans) {
            for (LearntPlan.Mark one : plan.marks()) {
                assertThat(plan.marks())
                        .filteredOn(other -> other != one)
                        .noneMatch(
                                other -> Math.abs(one.x() - other.x()) < 1.69 && Math.abs(one.y() - other.y()) < 1.69);
            }
        }
    }
}
