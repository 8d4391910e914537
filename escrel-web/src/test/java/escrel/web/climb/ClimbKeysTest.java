package escrel.web.climb;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.TestMade;
import escrel.core.calibre.Part;
import escrel.core.job.Job;
import escrel.core.lubrication.OilSkipped;
import escrel.core.service.Eased;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.ScrewsToCome;
import escrel.core.service.Visit;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The keys of the climb, and that nothing is passed over in silence. */
class ClimbKeysTest {
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
    void stripAWatch() {
        job = Stripped.cleanCv12(SERVER);
    }

    private OpenJob load() {
        return SERVER.bean(Workshop.class).load(job);
    }

    private void open(String line) {
        browser.open(SERVER.url() + "/jobs/" + job + "/climb?line=" + line);
        browser.see("#bench");
    }

    @Test
    void closingOverOpenThingsWantsAReasonThatIsKept() {
        open("train-bridge");
        assertThat(browser.see(".broken").getText()).contains("Escape wheel lies under it", "would close over");

        browser.keyOnBench('5');
        browser.seeText("Say why, or do these first");
        assertThat(load().history().all(PartOn.class)).isEmpty();

        browser.type("#in-spite-of", "bridge tried on the bare plate");
        browser.enter();
        browser.untilTrue(
                "the step to be recorded",
                () -> load().history().last(PartOn.class).isPresent());
        assertThat(load().history().last(PartOn.class).orElseThrow().inSpiteOf())
                .isEqualTo("bridge tried on the bare plate");
    }

    /** A bridge is tried under one screw: the others are a line of their own until they are in. */
    @Test
    void screwsStillToComeAreALineUntilTheyAreIn() {
        open("barrel-bridge");
        int screws = load().job().screws().of("barrel-bridge").toDrive();
        assertThat(screws).isGreaterThan(2);
        browser.key('6');
        browser.seeText("2 of " + screws);
        browser.keyOnBench('2');
        // what closes over open things asks first, and keeps what was said of the screws
        browser.seeText("Say why, or do these first");
        browser.seeText("2 screws still to come");
        browser.type("#in-spite-of", "tried by itself");
        browser.enter();
        browser.untilTrue("the bridge to be on", () -> !load().job().lives().isOff("barrel-bridge"));
        assertThat(load().job().screws().of("barrel-bridge").toDrive()).isEqualTo(2);

        open("barrel-bridge");
        assertThat(browser.heading()).isEqualTo("Barrel bridge: 2 screws to come");
        browser.keyOnBench('5');
        assertThat(load().job().screws().of("barrel-bridge").toDrive()).isZero();
    }

    /** A left-hand screw asks whenever it is driven, with its part or later. */
    @Test
    void leftHandScrewThatCameLaterAsksAsItIsDriven() {
        SERVER.bean(Workshop.class)
                .append(
                        job,
                        load().sequence(),
                        List.of(PartOn.plain("crown-wheel"), new ScrewsToCome("crown-wheel", 1)));
        open("crown-wheel");
        assertThat(browser.see(".asks").getText()).contains("Left-hand thread", "anticlockwise");
        browser.keyOnBench('5');
        assertThat(load().job().lives().screwsToCome()).isNotEmpty();
        browser.keyOnBench('5');
        assertThat(load().job().lives().screwsToCome()).isEmpty();
    }

    /** What was eased on the way down is tightened on the way up, and owed no longer. */
    @Test
    void whatWasEasedIsTightenedOnTheClimb() {
        int eased = Stripped.cv12(SERVER, 3);
        OpenJob now = SERVER.bean(Workshop.class).load(eased);
        SERVER.bean(Workshop.class).append(eased, now.sequence(), new Eased("setting-lever", Eased.Way.LOOSENED, 1));
        browser.open(SERVER.url() + "/jobs/" + eased + "/climb?line=setting-lever");
        assertThat(browser.heading()).isEqualTo("Setting lever: tighten again");
        browser.keyOnBench('5');
        Job settled = SERVER.bean(Workshop.class).load(eased).job();
        assertThat(settled.screws().tally(settled.history().ruleBook()).open())
                .noneMatch(item -> item.words().contains("eased"));
    }

    @Test
    void oilPointIsPassedOverOnlyWithAReason() {
        open("o-mainspring");
        browser.key('9');
        browser.seeText("Passing something over needs a reason");
        assertThat(load().history().all(OilSkipped.class)).isEmpty();

        open("o-mainspring");
        browser.key('+');
        browser.type("#note", "new spring comes treated");
        browser.driver().executeScript("document.activeElement.blur()");
        browser.keyOnBench('9');
        browser.seeText("Passed over, with its reason");
        assertThat(load().history().last(OilSkipped.class).orElseThrow().reason())
                .isEqualTo("new spring comes treated");
    }

    @Test
    void failedTestStaysOpen() {
        open("t-swing");
        browser.keyOnBench('3');
        browser.seeText("Recorded as failed; it stays open");
        assertThat(load().history().last(TestMade.class).orElseThrow().outcome())
                .isEqualTo(TestMade.Outcome.FAILED);
        assertThat(browser.heading()).isEqualTo("Balance swings alone in the plate");
    }

    @Test
    void visitIsShownAndDoesNotCount() {
        open("balance-cock");
        browser.keyOnBench('7');
        browser.seeText("not counted as fitted");
        assertThat(load().teardown().visiting()).containsExactly("balance-cock");
        assertThat(load().teardown().isOnAgain("balance-cock")).isFalse();

        browser.keyOnBench('7');
        browser.seeText("the visit is over");
        assertThat(load().history().last(Visit.class).orElseThrow().act()).isEqualTo(Visit.Act.END);
    }

    @Test
    void undoTakesTheLastLineBack() {
        browser.open(SERVER.url() + "/jobs/" + job + "/climb");
        browser.seeText("0 on again");
        browser.keyOnBench('5');
        browser.seeText("1 on again");
        browser.keyOnBench('-');
        browser.seeText("Taken back");
        browser.seeText("0 on again");
    }

    @Test
    void exitStoneIsDosedInRounds() {
        open("o-exit-stone");
        assertThat(browser.text()).contains("15 teeth: 3 doses, walking 5 teeth between", "pallet");
    }

    /** A part that owes its rinse asks before it goes on; the same key fits it, and the account stays open. */
    @Test
    void unwashedPartAsksBeforeItGoesOn() {
        job = Stripped.cv12(SERVER, Integer.MAX_VALUE);
        String part = load().job().wayUp().freeNow().stream()
                .filter(l -> l.kind() == AssemblyPlan.Kind.PART)
                .findFirst()
                .orElseThrow()
                .code();
        open(part);
        browser.keyOnBench('5');
        browser.seeText("was not rinsed since it came off");
        assertThat(load().history().all(PartOn.class)).isEmpty();
        browser.keyOnBench('5');
        browser.untilTrue(
                "it to be on", () -> load().history().last(PartOn.class).isPresent());
        assertThat(load().job().cleaning().tally().open()).anyMatch(i -> i.key().startsWith("rinse:" + part));
    }

    /** Closed over all the same, it is said at once what to open again: only as far as it must, and only that is due again. */
    @Test
    void whatWasForgottenUnderneathIsOpenedForAtOnce() {
        open("train-bridge");
        browser.keyOnBench('5');
        browser.type("#in-spite-of", "tried on the bare plate");
        browser.enter();
        browser.seeText("Forgotten underneath");
        browser.seeText("Escape wheel lies under");
        int before = load().sequence();
        browser.click(".forgotten form:has([value='escape-wheel']) button");
        browser.untilTrue("the movement to be opened again", () -> load().sequence() > before);
        browser.seeText("Train bridge");
        assertThat(load().history().last(OpenedAgain.class).orElseThrow())
                .satisfies(o -> assertThat(o.reason()).isEqualTo(OpenedAgain.Reason.FORGOTTEN))
                .satisfies(o -> assertThat(o.target()).isEqualTo("train-bridge"));
        assertThat(load().job().wayDown().remaining()).extracting(Part::code).containsExactly("train-bridge");
        SERVER.bean(Workshop.class).append(job, load().sequence(), PartOff.plain("train-bridge"));
        assertThat(load().job().wayUp().forgotten()).isEmpty();
        assertThat(load().job().wayUp().find(AssemblyPlan.Kind.PART, "escape-wheel"))
                .isPresent();
    }
}
