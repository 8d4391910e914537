package escrel.web.climb;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.Part;
import escrel.core.condition.Grade;
import escrel.core.job.Job;
import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Judged;
import escrel.web.job.Workshop;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Job 7 of the demo, from cleaned parts on the bare plate to a movement that runs, by the keypad alone. */
@Tag("long")
class AssemblyWalkTest {
    private static final int DAY_DATE = 7;

    private EscrelServer server;
    private BenchHand hand;

    /** The job as the demo has it, in a workshop of its own: other tests want it as it was. */
    @BeforeEach
    void takeItIn() {
        String dossier = new Visitor(EscrelServer.demo().url())
                .get("/jobs/" + DAY_DATE + "/dossier.json")
                .body();
        server = EscrelServer.empty();
        new Visitor(server.url())
                .upload("/jobs/import", Map.of(), "dossier", "d.json", dossier.getBytes(StandardCharsets.UTF_8));
        hand = new BenchHand(server, DAY_DATE);
    }

    @AfterEach
    void stop() {
        server.close();
    }

    private Job job() {
        return hand.load().job();
    }

    private static boolean wantsReading(Job job, AssemblyPlan.Line line) {
        return line.kind() == AssemblyPlan.Kind.TEST
                && job.movement()
                        .test(line.code())
                        .filter(t -> t.proof() == AssemblyTest.Proof.READING)
                        .isPresent();
    }

    @Test
    void fromBarePlateToRunningByOneKeyALine() {
        // what was brought in is rinsed and looked at as the rest was
        for (Part part : job().cleaning().due()) {
            hand.post("/wash", Map.of("way", part.wash().name(), "part", part.code()));
        }
        List<String> look = job().cleaning().toLookAt().stream().map(Part::code).toList();
        if (!look.isEmpty()) {
            server.bean(Workshop.class).append(DAY_DATE, hand.load().sequence(), new Judged(look, Grade.GOOD));
        }
        int lines = 0;
        int presses = 0;
        int asked = 0;
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + DAY_DATE + "/climb");
            browser.see("#bench");
            while (!wantsReading(job(), job().wayUp().lines().get(0))) {
                int before = hand.load().sequence();
                lines++;
                browser.keyOnBench('5');
                presses++;
                if (hand.load().sequence() == before) {
                    // a thread or a state is asked about: the same key says yes
                    browser.see(".asks.now");
                    asked++;
                    browser.keyOnBench('5');
                    presses++;
                }
                assertThat(hand.load().sequence()).as(browser.heading()).isGreaterThan(before);
            }
            assertThat(lines).isGreaterThan(50);
            // one key a line; what asks on the way up asks on this movement three times at most
            assertThat(presses).isEqualTo(lines + asked);
            assertThat(asked).isLessThanOrEqualTo(3);
            assertThat(job().copies().of("pallet-fork"))
                    .anyMatch(c -> c.origin() == CopyAtHand.Origin.DONOR && c.fittedAt() > 0);
            // the line that a reading settles leads to the readings
            browser.key('5');
            browser.untilTrue(
                    "the readings to open",
                    () -> browser.driver().getCurrentUrl().contains("/readings"));
            browser.seeText("first run");
        }
        assertThat(job().lubrication().open())
                .as("nothing that the running movement covers waits for oil")
                .noneMatch(p -> job().movement().requirePart(p.part()).group().stopsTheMovement());
    }
}
