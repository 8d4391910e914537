package escrel.web.log;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.condition.Grade;
import escrel.core.parts.Felt;
import escrel.core.parts.Finding;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.web.job.Workshop;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.support.ui.Select;

/** A slip found an hour later is put right where it was made, and stays on record. */
@Tag("long")
class LogTest {
    private final EscrelServer server = EscrelServer.demo();
    private final BenchHand hand = new BenchHand(server, Stripped.cv12(server, 12));

    private int stepOf(String part) {
        return hand.load().history().counting().stream()
                .filter(e -> e.step() instanceof PartOff off && off.part().equals(part))
                .findFirst()
                .orElseThrow()
                .sequence();
    }

    private HttpResponse<String> correct(String part, Map<String, String> fields) {
        return hand.post("/log/" + stepOf(part), fields);
    }

    @Test
    void gradeAndScrewsOfAPartThatCameOffLongAgoAreCorrectedInTheBrowser() {
        int job = hand.load().number();
        int dial = stepOf("dial");
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/log");
            browser.click("a[href$='/log/" + dial + "']");
            browser.seeText("Step " + dial + " should have said");
            new Select(browser.driver().findElement(By.name("asFound"))).selectByValue("MEND");
            browser.type("[name=screw-MISSING]", "1");
            browser.click("main form .main");
            browser.seeText("was recorded as: Dial off, good");
        }
        assertThat(hand.load().job().findings().open())
                .extracting(Finding::grade)
                .containsExactlyInAnyOrder(Grade.MEND, Grade.MISSING);
        assertThat(hand.load().job().screws().of("dial").words()).isEqualTo("1 short side of 2, 1 missing");
        assertThat(server.bean(Workshop.class).load(job).job().findings().open())
                .hasSize(2);
    }

    @Test
    void correctionIsTakenBackAsAnyAct() {
        correct("dial", Map.of("screw-LOOSE", "2"));
        assertThat(hand.load().teardown().stepOf("dial").orElseThrow().screws())
                .isEqualTo(ScrewsFound.of(ScrewsFound.State.LOOSE, 2));

        hand.post("/undo", Map.of("room", "strip"));
        assertThat(hand.load().teardown().stepOf("dial").orElseThrow().screws().isRight())
                .isTrue();
    }

    @Test
    void impossibleUnknownAndEmptyCorrectionsAreRefusedAndNothingIsLost() {
        int before = hand.load().sequence();

        assertThat(correct("dial", Map.of("part", "case-back")).body())
                .contains("would then be impossible", "Take that step back or correct it first");
        assertThat(correct("dial", Map.of("part", "no-part")).body()).contains("has no “no-part”");
        assertThat(correct("dial", Map.of()).body()).contains("Nothing was said otherwise");
        assertThat(correct("dial", Map.of("screw-MISSING", "9")).body()).contains("has 2 screws by what is known");
        assertThat(hand.load().sequence()).isEqualTo(before);
    }

    @Test
    void whatWasWashedFeltOrOiledIsCorrectedAsAnyOther() {
        hand.post("/felt", Map.of("part", "barrel", "what", "END_SHAKE", "feel", "NONE"));
        int felt = hand.load().sequence();
        int job = hand.load().number();
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/log");
            browser.click("a[href$='/log/" + felt + "']");
            new Select(browser.driver().findElement(By.name("feel"))).selectByValue("RIGHT");
            browser.click("main form .main");
            browser.seeText("was recorded as");
        }
        assertThat(hand.load().history().last(Felt.class))
                .contains(new Felt("barrel", Felt.Play.END_SHAKE, Felt.Feel.RIGHT));

        assertThat(hand.post("/log/" + felt, Map.of("feel", "WOBBLY")).body()).contains("none of the choices");
        // a correction itself is taken back, not corrected
        assertThat(hand.post("/log/" + (felt + 1), Map.of("sequence", "3")).body())
                .contains("cannot be corrected here");
        assertThat(hand.load().sequence()).isEqualTo(felt + 1);
    }
}
