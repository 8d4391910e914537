package escrel.web.arrival;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.job.Wait;
import escrel.core.owner.Estimate;
import escrel.core.owner.OwnerAsked;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

/** The lady's watch of job 9: a worn balance pivot is suspected, and its owner is asked about the cost. */
class CostQuestionTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());
    private final int job = visitor.openJob("Pellworth lady's watch", "p-8");
    private final BenchHand hand = new BenchHand(server, job);

    @Test
    void ownerIsAskedAboutTheCostAndAcceptsInPart() {
        hand.post("/suspicions", Map.of("part", "balance", "words", "worn pivot"));
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/owner");
            browser.key('+');
            browser.type("#question", "A new staff has to be made. May I?");
            // what an hour costs stands there already
            assertThat(browser.see("[name=rate]").getAttribute("value")).isEqualTo("60");
            browser.type("[name=hoursLow]", "4");
            browser.type("[name=hoursHigh]", "6");
            browser.type("[name=parts]", "85");
            browser.click("main form .main");
            // 4 × 60 + 85 and 6 × 60 + 85
            browser.seeText("Estimate 325 to 445");
            assertThat(Wait.of(hand.load().job())).contains(Wait.OWNER);
            browser.type("article [name=words]", "up to 400");
            browser.click("article [value=IN_PART]");
            browser.seeText("accepted in part");
        }
        assertThat(Wait.of(hand.load().job())).doesNotContain(Wait.OWNER);
        assertThat(hand.load().history().last(OwnerAsked.class).orElseThrow().estimate())
                .isEqualTo(new Estimate(4, 6, 60, 85));
    }

    /** The rate that stands there makes no question one of cost. */
    @Test
    void questionWithoutHoursIsNoEstimate() {
        hand.post("/owner", Map.of("question", "May the strap go?", "rate", "60"));

        assertThat(hand.load().history().last(OwnerAsked.class).orElseThrow().estimate())
                .isNull();
    }

    /** The demo served several CV-12 before: their hours are offered, with what was found here, and may be changed. */
    @Test
    void hoursOfEarlierServicesAreOfferedAndTakenOver() {
        int another = new Visitor(server.url()).openJob("Pilot's CV-12", "cv-12");
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + another + "/owner");
            browser.seeText("services of it here: half of them took");
            assertThat(browser.driver()
                            .findElements(By.cssSelector(".offer .past"))
                            .size())
                    .isGreaterThanOrEqualTo(3);
            browser.key('5');
            double low = Double.parseDouble(browser.see("[name=hoursLow]").getAttribute("value"));
            double high = Double.parseDouble(browser.see("[name=hoursHigh]").getAttribute("value"));
            assertThat(low).isPositive().isLessThanOrEqualTo(high);
            browser.type("#question", "A service comes to this. Shall I begin?");
            browser.click("main form .main");
            browser.seeText("Shall I begin?");
            Estimate asked = new BenchHand(server, another)
                    .load()
                    .history()
                    .last(OwnerAsked.class)
                    .orElseThrow()
                    .estimate();
            assertThat(asked).isNotNull();
            assertThat(asked.hoursLow()).isEqualTo(low);
            assertThat(asked.rate()).isEqualTo(60);
        }
    }
}
