package escrel.web.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Judged;
import escrel.web.job.AtHand;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** The inspection part by part: one key for a good part, two for a doubtful one, a place by key or by pointer. */
@Tag("long")
class LookTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());
    private BenchHand hand;
    private int job;

    @BeforeEach
    void openAWatch() {
        job = visitor.openJob("Looked-over watch", "cv-24");
        hand = new BenchHand(server, job);
    }

    private Browser open(String query) {
        Browser browser = new Browser();
        browser.open(server.url() + "/jobs/" + job + "/inspect" + query);
        return browser;
    }

    private List<String> owed() {
        return hand.load().job().looks().owed().stream().map(Part::code).toList();
    }

    @Test
    void firstInspectionWithThreeDoubtfulPartsTakesUnderNinetyKeys() {
        int parts = owed().size();
        assertThat(parts).isGreaterThan(35);
        int keys = 0;
        try (Browser browser = open("")) {
            for (int i = 0; i < parts; i++) {
                String name = browser.see("#bench h1").getText();
                boolean doubtful = i == 5 || i == 17 || i == 30;
                browser.key(doubtful ? '3' : '5');
                keys++;
                if (doubtful) {
                    browser.seeText("3, mend: what is it?");
                    browser.key('4');
                    keys++;
                }
                if (i < parts - 1) {
                    browser.seeText((parts - 1 - i) + (parts - 1 - i == 1 ? " part to judge" : " parts to judge"));
                    assertThat(browser.see("#bench h1").getText()).isNotEqualTo(name);
                }
            }
            browser.seeText("3 findings wait for a decision");
        }
        assertThat(keys).isLessThan(90);
        assertThat(owed()).isEmpty();
        assertThat(hand.load().job().findings().open())
                .hasSize(3)
                .allMatch(f -> f.defect() == Defect.CRACKED && f.origin() == Origin.UNKNOWN);
    }

    @Test
    void jewelIsChosenOnThePlanAndThePartStaysAtHand() {
        try (Browser browser = open("?part=train-bridge")) {
            browser.key('+');
            browser.seeText("Where on Train bridge?");
            List<String> keys = browser.driver().findElements(By.cssSelector(".spot text")).stream()
                    .map(e -> e.getText())
                    .toList();
            assertThat(keys).isNotEmpty().doesNotHaveDuplicates().first().isEqualTo("1");
            browser.driver().findElement(By.cssSelector(".spot circle")).click();
            browser.seeText("how is it?");
            browser.key('4');
            browser.seeText("4, broken at jewel");
            browser.key('4');
            browser.seeText("4 · jewel, ");
            assertThat(browser.see("#bench h1").getText()).isEqualTo("Train bridge");
            browser.key('5');
            browser.seeText("judged");
        }
        FindingRaised found = hand.load().history().last(FindingRaised.class).orElseThrow();
        assertThat(found.part()).isEqualTo("train-bridge");
        assertThat(found.grade()).isEqualTo(Grade.BROKEN);
        assertThat(found.place()).isNotNull();
        assertThat(found.place().kind()).isEqualTo(Place.Kind.JEWEL);
        assertThat(hand.load().job().looks().dirty("train-bridge")).isEqualTo(Grade.BROKEN);
    }

    @Test
    void jewelOfTheMainPlateIsChosenThoughThePlateIsNoPart() {
        try (Browser browser = open("?part=main-plate")) {
            browser.seeText("Where on Main plate?");
            String first = browser.see(".panel-item").getText();
            browser.key('1');
            browser.seeText("how is it?");
            browser.key('3');
            browser.seeText("3, mend at jewel");
            browser.key('4');
            browser.seeText("3 · jewel, ");
            assertThat(first).startsWith("1").contains("jewel, ");
        }
        FindingRaised found = hand.load().history().last(FindingRaised.class).orElseThrow();
        assertThat(found.part()).isNull();
        assertThat(found.place().kind()).isEqualTo(Place.Kind.JEWEL);
        assertThat(visitor.get("/jobs/" + job + "/findings").body()).contains(", of Main plate");
        assertThat(visitor.get("/jobs/" + job + "/handover").body()).contains(", of Main plate");
        assertThat(hand.post("/inspect/judge", Map.of("part", "main-plate", "grade", "GOOD"))
                        .body())
                .contains("Where on the main plate is not said");
        assertThat(server.bean(AtHand.class).of(job))
                .as("no picture is kept with what is no part")
                .isEmpty();
    }

    @Test
    void focusIsKeptOverEverySwap() {
        try (Browser browser = open("?part=dial")) {
            WebElement worn = browser.see(".grade-keys [value=WORN]");
            worn.sendKeys(Keys.ENTER);
            browser.untilTrue("the next part", () -> !browser.heading().equals("Dial"));
            assertThat(browser.driver().switchTo().activeElement().getAttribute("value"))
                    .isEqualTo("WORN");

            browser.driver().switchTo().activeElement().sendKeys(Keys.TAB, Keys.TAB);
            browser.key('3');
            browser.seeText("what is it?");
            browser.see(".panel-item").sendKeys(Keys.ENTER);
            browser.untilTrue(
                    "the list to close",
                    () -> browser.driver()
                            .findElements(By.cssSelector(".panel-item"))
                            .isEmpty());
            assertThat(browser.driver().switchTo().activeElement().getTagName()).isEqualTo("button");
        }
    }

    @Test
    void restIsGoodInOneActThatSaysHowManyAndWhich() {
        int parts = owed().size();
        try (Browser browser = open("?part=dial")) {
            browser.key('2');
            browser.seeText((parts - 1) + " parts to judge");
            browser.key('.');
            browser.seeText("Good, all " + (parts - 1) + " of them?");
            assertThat(browser.see(".panel p").getText())
                    .contains("Pallet fork")
                    .doesNotContain("Dial ·");
            browser.key('5');
            browser.seeText((parts - 1) + " parts judged: good");
            browser.key('-');
            browser.seeText("Taken back: " + (parts - 1) + " parts judged");
        }
        assertThat(owed()).hasSize(parts - 1);
        assertThat(hand.load().job().looks().dirty("dial")).isEqualTo(Grade.WORN);
    }

    @Test
    void whatCannotBeToldYetIsKeptAsThat() {
        hand.post("/inspect/judge", Map.of("part", "dial", "grade", "NOT_JUDGED"));

        assertThat(hand.load().history().last(Judged.class)).contains(new Judged(List.of("dial"), Grade.NOT_JUDGED));
        assertThat(hand.load().job().cleaning().couldNotTell("dial")).isTrue();
        assertThat(visitor.get("/jobs/" + job + "/inspect?part=dial").body()).contains("as it came · U, not judged");
    }

    @Test
    void whatNoPageSendsIsRefusedAndNothingIsRecorded() {
        int before = hand.load().sequence();

        assertThat(hand.post("/inspect/judge", Map.of("part", "no-part", "grade", "GOOD"))
                        .body())
                .contains("has no such part");
        assertThat(hand.post("/inspect/judge", Map.of("part", "dial")).body()).contains("How it looks is not said");
        assertThat(hand.post("/inspect/judge", Map.of("part", "dial", "grade", "MEND"))
                        .body())
                .contains("What was found is not said");
        assertThat(hand.post("/inspect/judge", Map.of("part", "dial", "grade", "GOOD", "place", "JEWEL/x"))
                        .body())
                .contains("is no finding");
        assertThat(hand.post(
                                "/inspect/judge",
                                Map.of("part", "dial", "grade", "WORN", "defect", "WORN", "place", "NOWHERE/x"))
                        .body())
                .contains("no such place");
        assertThat(hand.post("/inspect/judge", Map.of("part", "dial", "grade", "WOBBLY"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(visitor.get("/jobs/" + job + "/inspect?part=dial&panel=what&grade=MEND&place=NOWHERE/x")
                        .statusCode())
                .isEqualTo(200);
        assertThat(hand.load().sequence()).isEqualTo(before);
    }

    @Test
    void movementNobodyNamedYetIsNothingToLookAt() {
        int unknown = visitor.openJob("Nobody knows it", "");

        assertThat(visitor.get("/jobs/" + unknown + "/inspect").body())
                .doesNotContain("as it came · not judged yet · ");
        assertThat(new BenchHand(server, unknown).load().job().looks().owed()).allMatch(p -> p.group() == Group.CASE);
    }
}
