package escrel.web.arrival;

import escrel.web.storage.Sheets;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A chronograph is tried before its calibre is known, and judged once it is. */
class PushersTest {
    private static EscrelServer server;
    private static Visitor visitor;

    @BeforeAll
    static void start() {
        server = EscrelServer.empty();
        visitor = new Visitor(server.url());
        server.bean(Sheets.class).keep(BenchHand.demoSheet("cv-33"));
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    @Test
    void whatItDidIsJudgedOnceTheSheetIsKnown() {
        int job = visitor.openJob("Skarholt pilot's timer", "");
        String address = "/jobs/" + job + "/checks";
        try (Browser browser = new Browser()) {
            browser.open(server.url() + address + "?check=RESET_WHILE_RUNNING");
            browser.seeText("No sheet says yet which pusher does what");
            browser.key('2');
            browser.seeText("to zero, and on from there; what it should do is not on the sheet");
            browser.seeNoText("not so:");

            visitor.post(
                    "/jobs/" + job + "/calibre",
                    Map.of("calibre", "cv-33", "seq", String.valueOf(visitor.sequence(job))));
            browser.open(server.url() + address + "?check=CHRONOGRAPH_RESETS");
            browser.seeText("lower, at 4");
            browser.seeText("reset; blocked while running");
            browser.seeText("to zero, and on from there; by the sheet: the pusher was blocked");
            browser.seeText("not so: reset while running");

            // pressed again, and seen better
            browser.open(server.url() + address + "?check=RESET_WHILE_RUNNING");
            browser.key('1');
            browser.seeText("yes: the pusher was blocked");
            browser.seeNoText("not so:");
        }
    }
}
