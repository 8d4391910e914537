package escrel.web.arrival;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.job.Wait;
import escrel.core.lume.LumeCounted;
import escrel.core.lume.LumePoint;
import escrel.core.owner.Questions;
import escrel.core.triage.Triage;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A watch with luminous paint: first checks, the count, the points of care, triage, the question to its owner. */
class TriageWalkTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());
    private BenchHand hand;
    private int job;

    @BeforeEach
    void openAnAlarm() {
        job = visitor.openJob("Merrowdale deck alarm", "");
        hand = new BenchHand(server, job);
    }

    @Test
    void alarmWithActivePaintGoesFromChecksToTheOwnersAnswer() {
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/checks");
            browser.seeText("the balance swings when turned gently?");
            for (char key : "1114111".toCharArray()) { // swings, winds, sets, no date, dial, hands, case
                int before = hand.load().sequence();
                browser.key(key);
                browser.untilTrue("the check to be kept", () -> hand.load().sequence() > before);
                browser.see("main");
            }
            browser.seeText("dial sound and balance swinging: nearly always worth saving");

            browser.key('6');
            browser.seeText("Nobody said yet whether there is any");
            browser.click("[name=item][value=DIAL]");
            browser.click("[name=item][value=HOUR_HAND]");
            browser.key('1');
            browser.seeText("not known: treated as radioactive until it is counted");
            count(browser, "DIAL", "412");
            browser.seeText("52.4 ± 4.7 counts per minute");
            count(browser, "HOUR_HAND", "165");
            browser.seeText("not shown to be above background, which is not the same as safe");

            for (LumePoint.Point point : LumePoint.Point.values()) {
                browser.key('5');
                browser.untilTrue(
                        "“" + point.words() + "” to be kept",
                        () -> hand.load().job().lume().done().contains(point));
                browser.see("main");
            }
            browser.seeText("Each was seen to");

            browser.key('6');
            browser.seeText("What there is to ask about");
            browser.type("#question", "May the paint stay?");
            browser.toAnotherPage(() -> browser.click("main form .main"));
            browser.seeText("asked ");
            assertThat(Wait.of(hand.load().job())).contains(Wait.OWNER);
            assertThat(visitor.get("/jobs?q=deck&wait=OWNER").body()).contains("Merrowdale deck alarm");
            browser.type("article [name=words]", "yes, with the warning");
            browser.click("article [value=ACCEPTED]");
            browser.seeText("yes, with the warning");
        }
        assertThat(Wait.of(hand.load().job())).doesNotContain(Wait.OWNER);
        assertThat(hand.load().job().triage().verdict()).isEqualTo(Triage.Verdict.WITH_A_WARNING);
        assertThat(visitor.get("/jobs/" + job + "/tray").body()).contains("Luminous paint, above background: dial");
        assertThat(visitor.get("/jobs/" + job + "/report").body())
                .contains("dial: 52.4 ± 4.7 counts per minute, above background", "a licensed body does it");
        int asked = Questions.of(hand.load().history()).all().get(0).at();
        assertThat(visitor.get("/jobs/" + job + "/owner/" + asked).body()).contains("May the paint stay?");
        assertThat(visitor.get("/jobs/" + job + "/report.pdf").statusCode()).isEqualTo(200);
    }

    private static void count(Browser browser, String item, String gross) {
        browser.choose("#lume-item", item);
        browser.type("[name=gross]", gross);
        browser.type("[name=background]", "150");
        browser.click("form[action$='/counted'] .main");
    }

    @Test
    void simulatedCountsSayThatTheyAre() {
        hand.post("/lume/simulated", Map.of("item", "DIAL", "active", "true"));
        hand.post("/lume/simulated", Map.of("item", "HOUR_HAND", "active", "false"));

        assertThat(hand.load().history().all(LumeCounted.class)).hasSize(2).allMatch(LumeCounted::simulated);
        assertThat(visitor.get("/jobs/" + job + "/lume").body()).contains("(simulated)");
        assertThat(visitor.get("/jobs/" + job + "/report").body()).contains("(simulated)");
    }

    @Test
    void estimatesComeWithCommaOrPointAndTheLetterSaysWhatTheyAreMadeOf() {
        hand.post(
                "/owner",
                Map.of(
                        "question",
                        "New staff?",
                        "due",
                        "2027-01-15",
                        "hoursLow",
                        "4",
                        "hoursHigh",
                        "6,5",
                        "rate",
                        "60",
                        "parts",
                        "85.00"));
        int asked = hand.load().sequence();

        assertThat(visitor.get("/jobs/" + job + "/owner").body())
                .contains("Estimate 325 to 475", "answer wanted by 15 Jan 2027");
        assertThat(visitor.get("/jobs/" + job + "/owner/" + asked).body()).contains("4 to 6.5 hours at 60, parts 85");
        assertThat(visitor.get("/").body()).contains("waits for the owner&#39;s answer");
        assertThat(visitor.get("/jobs/" + job + "/owner.json").body()).contains("New staff?");
    }

    @Test
    void badFiguresAreRefusedInWordsAndNothingIsRecorded() {
        int before = hand.load().sequence();
        Map<String, Object> count = Map.of(
                "item", "DIAL", "unit", "COUNTS", "grossMinutes", "5", "background", "150", "backgroundMinutes", "5");
        assertThat(posted("/lume/counted", count, "gross", "-3")).contains("That is no count");
        assertThat(posted("/lume/counted", count, "gross", "many")).contains("is no number");
        assertThat(posted("/owner", Map.of(), "question", " ")).contains("1 to 2000 characters");
        assertThat(posted("/owner", Map.of("question", "x"), "due", "soon")).contains("is no day");
        assertThat(posted("/owner", Map.of("question", "x", "hoursLow", "6", "hoursHigh", "2"), "rate", "1"))
                .contains("low to high");
        assertThat(posted("/owner/3", Map.of("words", "x"), "answer", "ACCEPTED"))
                .contains("asked nothing in step 3");
        assertThat(hand.load().sequence()).isEqualTo(before);
    }

    private String posted(String path, Map<String, Object> fields, String name, String value) {
        Map<String, Object> all = new HashMap<>(fields);
        all.put(name, value);
        return hand.post(path, all).body();
    }
}
