package escrel.web.strip;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Place;
import escrel.core.parts.Finding;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

/** Each key of the strip, on the numeric keypad. */
@Tag("long")
class StripKeysTest {
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
    void openTheStrip() {
        job = new Visitor(SERVER.url()).openJob("Keys watch", "cv-12");
        browser.open(SERVER.url() + "/jobs/" + job + "/strip");
        browser.see("#bench");
    }

    private PartOff last() {
        return SERVER.bean(Workshop.class)
                .load(job)
                .history()
                .last(PartOff.class)
                .orElseThrow();
    }

    /** Its strap, back, seal and stem are off; the case's own two half-moon screws are next. */
    private void downToItsCaseScrews() {
        Visitor visitor = new Visitor(SERVER.url());
        visitor.post("/jobs/" + job + "/case", Map.of("seq", visitor.sequence(job), "sheet", "tidewell-s-112"));
        browser.open(SERVER.url() + "/jobs/" + job + "/strip");
        browser.see("#bench");
        press("5555");
    }

    @Test
    void conditionScrewsReplaceAndNoteTakeOneKeyEach() {
        browser.keyOnBench('2');
        browser.keyOnBench('2');
        assertThat(browser.heading()).isEqualTo("Case off the movement");
        downToItsCaseScrews();
        assertThat(browser.heading()).isEqualTo("Case off the movement");

        browser.key('6');
        browser.key('7');
        browser.key('3'); // one foreign
        browser.key('7');
        browser.key('9');
        browser.key('+');
        browser.type("#note", "ring sprung");
        browser.enter();
        browser.untilTrue("the next part", () -> browser.heading().equals("Casing ring"));

        assertThat(last().screws()).isEqualTo(ScrewsFound.of(ScrewsFound.State.FOREIGN, 1));
        assertThat(last().plan()).isEqualTo(PartOff.Plan.REPLACE);
        assertThat(last().asFound().mark()).isEqualTo("2");
        assertThat(last().note()).isEqualTo("ring sprung");
        assertThat(browser.text()).contains("2 findings");
    }

    @Test
    void oneScrewMissingAndTheRestLooseTakesFourKeysWithThePartOff() {
        downToItsCaseScrews();
        assertThat(browser.heading()).isEqualTo("Case off the movement");

        browser.key('7');
        browser.key('2');
        browser.key('1');
        browser.seeText("1 missing, 1 loose");
        browser.keyOnBench('5');

        assertThat(last().screws())
                .isEqualTo(ScrewsFound.of(ScrewsFound.State.MISSING, 1).and(ScrewsFound.State.LOOSE, 1));
        assertThat(browser.text()).contains("1 finding, 0 screws out");
    }

    @Test
    void crackedJewelOfABridgeAPlayByFeelAndASuspicionAreSaidByKeys() {
        browser.open(SERVER.url() + "/jobs/" + job + "/strip?part=train-bridge");
        press("/712"); // look, a finding, the first jewel the sheet has in it
        press("36"); // broken, cracked
        browser.seeText("Finding on Train bridge: cracked");
        Finding finding =
                SERVER.bean(Workshop.class).load(job).job().findings().open().get(0);
        assertThat(finding)
                .returns("train-bridge", Finding::part)
                .returns(Grade.BROKEN, Finding::grade)
                .returns(Defect.CRACKED, Finding::defect);
        assertThat(finding.place().kind()).isEqualTo(Place.Kind.JEWEL);
        assertThat(finding.place().name()).isIn("Third wheel", "Fourth wheel", "Escape wheel");

        press("/733"); // end-shake by feel: much
        browser.seeText("end shake by feel: much");
        press("/77");
        browser.type("#say", "hole worn oval?");
        browser.enter();
        browser.seeText("Suspected");
        press("/781");
        browser.type("#say", "oval, seen under the microscope");
        browser.enter();
        browser.seeText("confirmed: oval");
        assertThat(SERVER.bean(Workshop.class).load(job).job().suspicions().open())
                .isEmpty();
    }

    private void press(String keys) {
        keys.chars().forEach(key -> browser.keyOnBench((char) key));
    }

    @Test
    void starTurnsThePlanOverAndTheQuestionMarkShowsTheKeys() {
        browser.seeText("train side up");
        browser.keyOnBench('*');
        browser.seeText("dial side up");
        browser.key('?');
        browser.seeText("take back what is named at the top of the card");
    }

    @Test
    void partThatIsHeldSaysWhyAndTheReasonIsKept() {
        browser.driver().findElement(By.partialLinkText("Balance with cock")).click();
        browser.seeText("hands and dial come off first");
        browser.seeText("parts first, about");
        browser.keyOnBench('5');
        browser.seeText("Say why, or take another part first");
        browser.type("#in-spite-of", "dial is already in its box");
        browser.enter();
        browser.untilTrue(
                "the step to be recorded",
                () -> SERVER.bean(Workshop.class)
                        .load(job)
                        .history()
                        .last(PartOff.class)
                        .isPresent());

        assertThat(last().part()).isEqualTo("balance-cock");
        assertThat(last().inSpiteOf()).isEqualTo("dial is already in its box");
    }

    @Test
    void stemGoesBackForAVisitToLetThePowerDown() {
        job = Stripped.cv12(SERVER, 12);
        browser.open(SERVER.url() + "/jobs/" + job + "/strip");
        browser.seeText("The stem is out: put it back for this");
        assertThat(browser.heading()).isEqualTo("Power let down");

        browser.keyOnBench('3');
        browser.seeText("Crown and stem is in for a visit");
        browser.keyOnBench('5');
        browser.seeText("yes, the power is down");
        browser.keyOnBench('5');
        browser.untilTrue("the next part", () -> browser.heading().equals("Pallet bridge"));

        assertThat(last().part()).isEqualTo("power-down");
        assertThat(SERVER.bean(Workshop.class).load(job).teardown().visiting()).containsExactly("stem");
    }

    @Test
    void photoBelongsToThePartAndTheBenchGoesOn() throws IOException {
        Path picture = Files.createTempFile(Path.of("target"), "photo-", ".jpg");
        ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "jpg", new File(picture.toString()));

        browser.file("#photo-file", picture);
        browser.seeText("Photo kept");
        browser.keyOnBench('5');

        assertThat(last().part()).isEqualTo("case-back");
    }

    @Test
    void secondTabIsToldPlainly() {
        new Visitor(SERVER.url())
                .post("/jobs/" + job + "/strip/off", Map.of("part", "case-back", "seq", 3, "answered", "true"));

        browser.key('5');
        browser.seeText("was moved on in another tab");
        browser.seeText("Reload this page");
    }

    @Test
    void planIsWalkedZoomedAndClicked() {
        job = Stripped.cv12(SERVER, 14);
        browser.open(SERVER.url() + "/jobs/" + job + "/strip");
        String first = browser.heading();
        browser.keyOnBench('1');
        String second = browser.heading();
        assertThat(second).isNotEqualTo(first);
        assertThat(browser.see(".card .over").getText()).isEqualTo("free now");

        browser.key('.');
        browser.untilTrue("the plan to grow", () -> transform().startsWith("scale(2)"));
        browser.keyOnBench('1');
        assertThat(transform()).as("kept when the bench is swapped").startsWith("scale(2)");
        browser.key('.');
        browser.key('.');
        browser.untilTrue("the whole plan again", () -> transform().isEmpty());

        browser.driver()
                .executeScript("document.querySelector('.plan [data-part=barrel-bridge]')"
                        + ".dispatchEvent(new MouseEvent('click', {bubbles: true}))");
        browser.untilTrue("the bridge on the card", () -> browser.heading().equals("Barrel bridge"));
    }

    private static String transform() {
        return (String) browser.driver().executeScript("return document.querySelector('.plan svg').style.transform");
    }
}
