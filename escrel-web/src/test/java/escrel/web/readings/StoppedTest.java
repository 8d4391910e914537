package escrel.web.readings;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.parts.Suspected;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A watch that does not run is asked its questions one by one; what is suspected at the end stands until somebody looked. */
class StoppedTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());
    private final int job = visitor.openJob("Skarholt stopped watch", "cv-12");
    private final BenchHand hand = new BenchHand(server, job);

    @Test
    void walkTakesUpTheFirstChecksAndEndsInSuspicions() {
        hand.post("/checks", Map.of("check", "BALANCE_SWINGS", "outcome", "YES"));
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/stopped");
            browser.seeText("(known from the first checks)");
            browser.seeText("does it snap from side to side?");
            browser.key('1');
            browser.seeText("Does the balance go when it is given a turn?");
            browser.key('1');
            browser.seeText("It runs, then stops");
            // M6: the fourth wheel of a movement with small seconds turns once a minute
            browser.seeText("Fourth wheel");
            browser.seeText("once in 60.0 s");
            browser.click(".stop-suspects button");
            browser.seeText("They stand in the inspection until somebody looked");
            browser.key('-');
            browser.seeText("Does the balance go when it is given a turn?");
        }
        assertThat(hand.load().history().last(Suspected.class).orElseThrow().words())
                .isEqualTo("one tooth or leaf");
        assertThat(visitor.get("/jobs/" + job + "/findings").body()).contains("one tooth or leaf");
    }

    @Test
    void whatNoPageSendsIsRefused() {
        int before = hand.load().sequence();
        assertThat(hand.post("/stopped", Map.of("question", "WHY", "answer", "YES"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(hand.post("/stopped", Map.of("question", "FORK_SNAPS")).statusCode())
                .isEqualTo(422);
        assertThat(hand.load().sequence()).isEqualTo(before);
    }
}
