package escrel.web.photos;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.calibre.Side;
import escrel.core.service.PhotosPaired;
import escrel.web.demo.PlanPicture;
import escrel.web.job.Workshop;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;

class PairsTest {
    private static final EscrelServer SERVER = EscrelServer.demo();

    private final Visitor visitor = new Visitor(SERVER.url());
    private int job;

    @BeforeEach
    void twoPhotosOfOnePart() {
        job = visitor.openJob("Tidewell paired watch", "cv-12");
        BenchHand hand = new BenchHand(SERVER, job);
        for (Set<String> gone : Set.of(Set.<String>of(), Set.of("dial"))) {
            hand.upload(
                    "/strip/photo",
                    Map.of("part", "balance-cock", "side", "TRAIN"),
                    PlanPicture.of(BenchHand.demoSheet("cv-12"), Side.TRAIN, gone::contains));
        }
    }

    private String send(Map<String, Object> fields) {
        Map<String, Object> form = new HashMap<>(Map.of("before", 1, "after", 2));
        form.putAll(fields);
        form.put("seq", visitor.sequence(job));
        return visitor.post("/jobs/" + job + "/pairs", form).body();
    }

    private PhotosPaired kept() {
        return SERVER.bean(Workshop.class)
                .load(job)
                .history()
                .last(PhotosPaired.class)
                .orElseThrow();
    }

    private static String chosen(Browser browser, String name) {
        return new Select(browser.see("select[name=" + name + "]"))
                .getFirstSelectedOption()
                .getText();
    }

    @Test
    void twoPhotosOfAPartAreProposedMarkedByClickSweptAndKept() {
        try (Browser browser = new Browser()) {
            browser.open(SERVER.url() + "/jobs/" + job + "/pairs");
            // the one proposed lies there already, and is not proposed once more beside itself
            assertThat(chosen(browser, "before")).startsWith("1 · ").contains("Balance with cock");
            assertThat(chosen(browser, "after")).startsWith("2 · ").contains("Balance with cock");
            browser.seeNoText("Balance with cock: 1 and 2");
            for (String marks : new String[] {"beforeMarks", "afterMarks"}) {
                WebElement picture = browser.driver().findElement(By.cssSelector("[data-marks=" + marks + "]"));
                for (int away : new int[] {-80, 80}) {
                    new Actions(browser.driver())
                            .moveToElement(picture, away, away / 2)
                            .click()
                            .perform();
                }
            }
            assertThat(browser.driver().findElements(By.cssSelector(".pair-marks circle")))
                    .hasSize(4);
            browser.key('6');
            assertThat(browser.driver().findElement(By.id("sweep")).getDomProperty("value"))
                    .isEqualTo("600");
            browser.type("[name=words]", "dirty and clean");
            browser.click("[name=inReport]");
            browser.click("#pair-keep");
            browser.seeText("The pair is kept and goes into the report");
            browser.seeText("Lined up by two points");
        }
        assertThat(kept().beforeMarks()).hasSize(2);
        assertThat(kept().laying().a()).isCloseTo(1, within(0.02));
        assertThat(visitor.get("/jobs/" + job + "/report").body()).contains("Then and now", "dirty and clean");
        assertThat(visitor.get("/jobs/" + job + "/report.pdf").statusCode()).isEqualTo(200);
    }

    /** Keys alone: a picture in focus has a pointer that arrows move, and Enter marks what lies under it. */
    @Test
    void marksAreSetWithoutAMouse() {
        try (Browser browser = new Browser()) {
            browser.open(SERVER.url() + "/jobs/" + job + "/pairs");
            for (String marks : new String[] {"beforeMarks", "afterMarks"}) {
                WebElement picture = browser.see("[data-marks=" + marks + "]");
                picture.sendKeys(Keys.ARROW_LEFT, Keys.ARROW_LEFT, Keys.ARROW_UP, Keys.ENTER);
                picture.sendKeys(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, Keys.ENTER);
            }
            assertThat(browser.driver().findElements(By.cssSelector(".pair-marks circle")))
                    .hasSize(4);
            browser.key('5');
            browser.seeText("Lined up by two points");
        }
        List<PhotosPaired.Mark> set = kept().beforeMarks();
        assertThat(set.get(1).x() - set.get(0).x()).isPositive();
        assertThat(set.get(1).y()).isEqualTo(set.get(0).y());
        assertThat(kept().afterMarks()).isEqualTo(set);
    }

    @Test
    void whatIsNoPairIsRefused() {
        assertThat(send(Map.of("after", 9))).contains("no such two photos");
        assertThat(send(Map.of("after", 1))).contains("a pair is two photos");
        assertThat(send(Map.of("beforeMarks", "0.1,0.1 0.9,0.9"))).contains("with two marks on each or none");
        assertThat(send(Map.of("beforeMarks", "0.1,0.1 0.11,0.1", "afterMarks", "0.1,0.1 0.9,0.9")))
                .contains("too near");
        assertThat(send(Map.of("beforeMarks", "here there", "afterMarks", "x"))).contains("cannot be laid so");
        assertThat(SERVER.bean(Workshop.class).load(job).history().last(PhotosPaired.class))
                .isEmpty();
    }

    @Test
    void keptAgainWithoutTheReportItIsNoLongerTold() {
        send(Map.of("inReport", "true", "words", "then"));
        assertThat(visitor.get("/jobs/" + job + "/report").body()).contains("Then and now");
        send(Map.of("words", "then"));
        assertThat(visitor.get("/jobs/" + job + "/report").body()).doesNotContain("Then and now");
        visitor.post("/jobs/" + job + "/undo", Map.of("room", "strip", "seq", visitor.sequence(job)));
        assertThat(visitor.get("/jobs/" + job + "/report").body()).contains("Then and now");
    }
}
