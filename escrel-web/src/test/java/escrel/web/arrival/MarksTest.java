package escrel.web.arrival;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.marks.MarkSeen;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Marks are kept where they are read, held against each other, told in the report, and found by. */
class MarksTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());
    private BenchHand hand;
    private int job;

    @BeforeEach
    void openAWatch() {
        job = visitor.openJob("Pellworth numbered watch", "cv-12");
        hand = new BenchHand(server, job);
    }

    private String mark(String on, String part, String kind, String text) {
        return hand.post("/marks", Map.of("on", on, "part", part, "kind", kind, "text", text))
                .body();
    }

    @Test
    void numbersThatDifferAreSaidWithTheReasonAndFoundBy() {
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/arrival");
            browser.type("#marks [name=text]", "730 551");
            browser.click("#marks button");
            browser.seeText("no other number to hold it against yet");
            browser.choose("#marks [name=part]", "train-bridge");
            browser.type("#marks [name=text]", "730 515");
            browser.click("#marks button");
            browser.seeText("differs");
            browser.seeText("one of them is not from this movement, or was renumbered");
        }
        assertThat(hand.load().history().all(MarkSeen.class))
                .extracting(MarkSeen::part)
                .containsExactly(null, "train-bridge");
        assertThat(visitor.get("/jobs/" + job + "/report").body()).contains("number 730 515 on Train bridge differs");
        assertThat(visitor.get("/jobs?q=730+515").body()).contains("Pellworth numbered watch");
    }

    /** Of the case too: its parts are no parts of the calibre's sheet. */
    @Test
    void markOnAPartOfTheCaseIsCalledByThePartsName() {
        mark("CASE", "case-back", "REPAIRER", "11/38");

        assertThat(hand.load()
                        .job()
                        .marks()
                        .where(hand.load().history().last(MarkSeen.class).orElseThrow()))
                .isEqualTo(hand.load().movement().requirePart("case-back").name());
    }

    @Test
    void aMarkTakenBackIsHeldAgainstNothing() {
        mark("DIAL", "", "DATE", "4/1961");
        mark("MOVEMENT", "", "DATE", "3/1961");
        assertThat(visitor.get("/jobs/" + job + "/arrival").body()).contains("the dial is later than its movement");

        hand.post("/undo", Map.of("room", "arrival"));

        assertThat(visitor.get("/jobs/" + job + "/arrival").body()).doesNotContain("later than its movement");
    }

    @Test
    void whatIsNoMarkIsRefusedInWords() {
        int before = hand.load().sequence();
        assertThat(mark("DIAL", "", "DATE", "in spring")).contains("as 3/1961");
        assertThat(mark("CASE", "", "NUMBER", "")).contains("1 to 200 characters");
        assertThat(mark("CASE", "no-part", "NUMBER", "1")).contains("has no such part");
        assertThat(hand.load().sequence()).isEqualTo(before);
    }
}
