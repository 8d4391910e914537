package escrel.web.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.parts.CopyAtHand;
import escrel.core.parts.Decision;
import escrel.core.parts.Finding;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.Judged;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import escrel.core.supply.Want;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The day-date of job 7, clean and not looked at yet: the second look finds a hairline, a donor's fork takes the place. */
class StoneAndDonorTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());
    private int number;
    private BenchHand hand;

    @BeforeEach
    void takeItUpWhereItIsClean() {
        Workshop workshop = server.bean(Workshop.class);
        OpenJob seven = workshop.load(7);
        List<RecordedStep> all = seven.recorded().recorded();
        int found = all.stream()
                .filter(e -> e.step() instanceof FindingRaised || e.step() instanceof Judged)
                .mapToInt(RecordedStep::sequence)
                .min()
                .orElseThrow();
        number = workshop.keep(0, seven.openedAt().toInstant(), all.subList(0, found - 1));
        hand = new BenchHand(server, number);
    }

    private Finding fork() {
        return hand.load().job().findings().on("pallet-fork").get(0);
    }

    @Test
    void secondLookFindsAHairlineAndADonorsForkIsFitted() {
        String donor = "a CV-28 for forks, job " + number;
        visitor.post("/parts/donors", Map.of("name", donor, "calibre", "cv-28", "words", ""));
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + number + "/inspect?part=pallet-fork");
            browser.seeText("second look, clean");
            browser.keyOnBench('4');
            browser.seeText("cracked");
            browser.click("button[data-does='cracked']");
            browser.untilTrue(
                    "the crack to be found",
                    () -> !hand.load().job().findings().on("pallet-fork").isEmpty());
            browser.open(server.url() + "/jobs/" + number + "/findings?finding=" + fork().key());
            browser.seeText("What to do about it");
            browser.seeText("still has it");
            // the donor's is the best supported: it is there, and the fork cannot be made whole
            assertThat(browser.see(".way-head").getText()).contains("replace donor");
            browser.key('1');
            browser.seeText("the other one is not at hand yet");
            assertThat(fork().decided().decision()).isEqualTo(Decision.REPLACE_DONOR);
            browser.click(".want-line a");
            browser.seeText("take it from “" + donor + "”");
            browser.click("form[action$='/donor']:has([value='pallet-fork']) button");
            browser.seeText("here, to fit");
        }
        assertThat(hand.load().job().copies().now("pallet-fork").orElseThrow())
                .satisfies(c -> assertThat(c.origin()).isEqualTo(CopyAtHand.Origin.DONOR))
                .satisfies(c -> assertThat(c.from()).endsWith("/pallet-fork"));
        assertThat(hand.load().job().cleaning().tally().open())
                .as("it owes a rinse and a look of its own")
                .anyMatch(i -> i.key().startsWith("rinse:pallet-fork"));

        server.bean(Workshop.class).append(number, hand.load().sequence(), PartOn.plain("pallet-fork"));

        assertThat(fork().isSettled()).isTrue();
        assertThat(hand.load().job().supply().wants()).noneMatch(w -> w.state() == Want.State.TO_FIT);
        assertThat(visitor.get("/jobs/" + number + "/report").body()).contains("replace donor (from " + donor + ")");
    }
}
