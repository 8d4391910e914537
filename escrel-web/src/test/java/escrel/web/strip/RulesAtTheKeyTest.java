package escrel.web.strip;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Role;
import escrel.core.order.Constraint;
import escrel.core.service.PartOff;
import escrel.core.service.PowerNoted;
import escrel.core.service.SchoolSetAside;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

/** What a rule costs whoever goes another way: a school one more press, safety a reason, hidden power one key. */
class RulesAtTheKeyTest {
    private static final EscrelServer SERVER = EscrelServer.demo();
    private static Browser browser;

    private int job;

    @BeforeAll
    static void openTheBrowser() {
        browser = new Browser();
    }

    @AfterAll
    static void closeTheBrowser() {
        browser.close();
    }

    @BeforeEach
    void openTheBack() {
        job = new Visitor(SERVER.url()).openJob("Skarholt service watch", "cv-12");
        browser.open(SERVER.url() + "/jobs/" + job + "/strip");
        browser.see("#bench");
        browser.keyOnBench('5');
        assertThat(load().teardown().order()).containsExactly("case-back");
    }

    private OpenJob load() {
        return SERVER.bean(Workshop.class).load(job);
    }

    private void choose(String part) {
        browser.open(SERVER.url() + "/jobs/" + job + "/strip?part=" + part);
        browser.see("#bench");
    }

    private PartOff lastOff() {
        return load().history().last(PartOff.class).orElseThrow();
    }

    @Test
    void schoolIsBrokenByASecondPressAndAsksForNoWords() {
        choose("balance-cock");
        assertThat(load().job().wayDown().brokenBy("balance-cock"))
                .as("only the workshop's habit speaks against it")
                .isNotEmpty()
                .allMatch(Constraint::isSchool);

        browser.keyOnBench('5');
        browser.seeText("The same key goes on all the same");
        assertThat(load().teardown().isOff("balance-cock")).isFalse();
        browser.keyOnBench('5');

        assertThat(lastOff().part()).isEqualTo("balance-cock");
        assertThat(lastOff().inSpiteOf()).isEmpty();
        assertThat(load().history().last(SchoolSetAside.class))
                .as("the habit holds for what comes")
                .isEmpty();
    }

    /** Enter in the note is the key that does it, never the one that sets the habit aside. */
    @Test
    void enterInTheNoteSetsNoHabitAside() {
        choose("balance-cock");
        browser.keyOnBench('5');
        browser.seeText("so for this job");
        browser.type("#note", "cock bent upwards");
        browser.enter();
        browser.untilTrue("the cock to be off", () -> load().teardown().isOff("balance-cock"));
        assertThat(lastOff().note()).isEqualTo("cock bent upwards");
        assertThat(load().history().last(SchoolSetAside.class)).isEmpty();
    }

    @Test
    void schoolIsSetAsideForThisJobByOneKey() {
        choose("balance-cock");
        browser.keyOnBench('5');
        browser.seeText("so for this job");
        browser.keyOnBench('0');

        assertThat(lastOff().part()).isEqualTo("balance-cock");
        choose("ratchet-wheel");
        browser.seeNoText("By another habit");
        // taken back to where the school was set aside, it holds again
        browser.keyOnBench('-');
        browser.keyOnBench('-');
        choose("balance-cock");
        browser.seeText("By another habit");
    }

    @Test
    void safetyRuleIsBrokenOnlyWithAReasonInWords() {
        choose("balance-cock");
        browser.keyOnBench('5');
        browser.keyOnBench('5');
        String bridge =
                load().movement().withRole(Role.PALLET_BRIDGE).orElseThrow().code();
        choose(bridge);
        browser.seeText("the power must be down first");

        browser.keyOnBench('5');
        browser.seeText("Say why, or take another part first");
        browser.keyOnBench('5');
        assertThat(load().teardown().isOff(bridge))
                .as("no number of presses stands for a reason")
                .isFalse();

        browser.type("#in-spite-of", "spring broken, nothing was wound");
        browser.enter();
        browser.untilTrue("the part to be off", () -> load().teardown().isOff(bridge));
        assertThat(lastOff().inSpiteOf()).isEqualTo("spring broken, nothing was wound");
    }

    @Test
    void powerFoundHiddenAtTheRatchetWheelIsOneKey() {
        while (!browser.heading().equals("Ratchet wheel")) {
            browser.keyOnBench('5');
        }
        browser.seeText("Is the power really down?");
        browser.keyOnBench('5');
        assertThat(load().teardown().isOff("ratchet-wheel"))
                .as("not in silence")
                .isFalse();
        assertThat(browser.driver().findElements(By.cssSelector(".asks.now"))).isNotEmpty();

        browser.keyOnBench('1');

        assertThat(lastOff().part()).isEqualTo("ratchet-wheel");
        assertThat(load().history().last(PowerNoted.class))
                .hasValueSatisfying(p -> assertThat(p.what()).isEqualTo(PowerNoted.What.LET_GO_NOW));
        assertThat(load().job().lives().isPowerUp(load().movement().requirePart("power-down")))
                .isFalse();
    }
}
