package escrel.web.strip;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Shape;
import escrel.core.calibre.Side;
import escrel.core.parts.Gauged;
import escrel.core.service.Eased;
import escrel.core.service.PartOff;
import escrel.web.demo.PlanPicture;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;

/** A movement nobody has a sheet of, on the keypad, and pins on its photograph. */
@Tag("long")
class UnknownStripKeysTest {
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
        job = new Visitor(SERVER.url()).openJob("Unknown alarm", "");
        browser.open(SERVER.url() + "/jobs/" + job + "/strip");
        browser.seeText("which group?");
    }

    private OpenJob load() {
        return SERVER.bean(Workshop.class).load(job);
    }

    /** Group, kind, off: three keys, and one more for each question its kind asks. */
    private void nameAndTakeOff(char group, char kind, String... questions) {
        browser.keyOnBench(group);
        browser.keyOnBench(kind);
        for (String question : questions) {
            browser.seeText(question);
            browser.keyOnBench('1');
        }
        browser.keyOnBench('5');
        browser.seeText("which group?");
    }

    @Test
    void partIsNamedWithTwoKeysAndTakenOffWithAThird() {
        nameAndTakeOff('1', '1'); // case, case back
        nameAndTakeOff('2', '2'); // dial and hands, dial
        browser.keyOnBench('0'); // other groups
        browser.keyOnBench('2'); // alarm
        browser.seeText("Alarm: which kind?");
        browser.keyOnBench('2'); // alarm barrel
        assertThat(browser.heading()).isEqualTo("Alarm barrel");

        CalibreSheet sheet = load().movement();
        assertThat(sheet.parts()).extracting(p -> p.code()).containsExactly("case-back", "dial", "alarm-barrel");
        assertThat(sheet.requirePart("dial").role()).isEqualTo(Role.DIAL);
        assertThat(load().teardown().order()).containsExactly("case-back", "dial");
    }

    @Test
    void whatHeldItItsScrewsItsUnitAndItsRightNameTakeAFewKeysEach() {
        // train bridge: nobody said anything of the power, and it frees the train
        browser.keyOnBench('6');
        browser.keyOnBench('1');
        browser.seeText("Is the power down, and how?");
        browser.keyOnBench('1');
        browser.seeText("Power let down: crown");
        browser.seeText("Has the balance shock settings?");
        browser.keyOnBench('1');
        browser.keyOnBench('5');
        browser.seeText("which group?");
        assertThat(load().history().last(PartOff.class).orElseThrow().part()).isEqualTo("train-bridge");
        assertThat(load().teardown().stepOf("power-let-down").orElseThrow().letDown())
                .isEqualTo(PartOff.LetDown.CROWN);
        nameAndTakeOff('6', '4'); // third wheel: both are asked once
        browser.open(SERVER.url() + "/jobs/" + job + "/strip?part=third-wheel");
        browser.keyOnBench('/');
        browser.keyOnBench('4');
        browser.seeText("What was it under");
        browser.keyOnBench('1');
        browser.seeText("Third wheel held by Train bridge");

        browser.keyOnBench('/');
        browser.keyOnBench('6');
        browser.keyOnBench('2');
        browser.keyOnBench('3');
        browser.seeText("2 screws of Third wheel");

        browser.keyOnBench('/');
        browser.keyOnBench('9');
        browser.type("#say", "Alarm third wheel");
        browser.enter();
        browser.untilTrue("the new name", () -> browser.heading().equals("Alarm third wheel"));
        browser.seeText("was called Third wheel");

        CalibreSheet sheet = load().movement();
        assertThat(sheet.holdsOn("third-wheel"))
                .singleElement()
                .satisfies(h -> assertThat(h.by()).isEqualTo("train-bridge"));
        assertThat(sheet.screwsOf("third-wheel")).hasSize(2).allMatch(s -> s.length() == ScrewPlace.LengthClass.MIDDLE);
    }

    @Test
    void screwsOfTwoKindsAndHowAPartLiesAreSaidByKeys() {
        nameAndTakeOff('7', '5', "Has the balance shock settings?"); // barrel, so that the next part has a neighbour
        browser.keyOnBench('7');
        browser.keyOnBench('3'); // crown wheel
        String part = load().movement().parts().get(1).code();
        browser.seeText("Try left-hand first");
        press("/61", "7"); // one, long and left-hand
        press("/682", "2"); // and two short ones
        press("/69", "8"); // each back into its own hole
        assertThat(ScrewPlace.words(load().movement().screwsOf(part))).isEqualTo("1 long left-hand, 2 short");
        assertThat(load().movement().screwsOf(part))
                .filteredOn(s -> s.home() == ScrewPlace.Home.OWN_HOLE)
                .hasSize(2);
        browser.seeText("Left-hand thread");

        press("/31", "3"); // chamfer up
        press("/3", "5"); // it flies
        browser.keyOnBench('/');
        browser.keyOnBench('4');
        browser.keyOnBench('0');
        browser.type("#say", "barr");
        browser.enter();
        browser.seeText("held by Barrel");
        assertThat(load().movement().requirePart(part))
                .returns("chamfer up", Part::orientation)
                .returns(true, p -> p.has(Hazard.FLIES));
    }

    /** Panel by panel, then the key that records. */
    private void press(String panels, String last) {
        (panels + last).chars().forEach(key -> browser.keyOnBench((char) key));
    }

    @Test
    void lostFoundMeasuredLoosenedAndLeft() {
        browser.keyOnBench('8'); // calendar
        browser.keyOnBench('3'); // date jumper
        browser.seeText("This one flies");
        browser.keyOnBench('5');
        browser.keyOnBench('5');
        browser.seeText("which group?");
        browser.open(SERVER.url() + "/jobs/" + job + "/strip?part=date-jumper");
        browser.keyOnBench('/');
        browser.keyOnBench('8');
        browser.keyOnBench('1');
        browser.seeText("lost, search open");
        assertThat(load().job().searches().lost()).containsExactly("date-jumper");
        browser.keyOnBench('/');
        browser.keyOnBench('8');
        browser.keyOnBench('1');
        assertThat(load().job().searches().lost()).isEmpty();

        browser.keyOnBench('/');
        browser.keyOnBench('7');
        browser.keyOnBench('2');
        browser.keyOnBench('4');
        browser.type("#say", "0,85");
        browser.enter();
        browser.seeText("spring width 0.85 mm");
        assertThat(load().history().last(Gauged.class).orElseThrow().millimetres())
                .isEqualTo(0.85);

        browser.keyOnBench('/');
        browser.keyOnBench('2');
        browser.keyOnBench('0');
        browser.type("#say", "2.5");
        browser.enter();
        browser.seeText("loosened by 2.5 turns");
        assertThat(load().history().last(Eased.class).orElseThrow().turns()).isEqualTo(2.5);
    }

    @Test
    void clickPinsThePartAndADragMovesThePin() throws IOException {
        nameAndTakeOff('7', '5', "Has the balance shock settings?"); // barrel
        Path photo = Files.createTempFile(Path.of("target"), "side", ".jpg");
        Files.write(photo, PlanPicture.of(BenchHand.demoSheet("m-7h"), Side.TRAIN, c -> false));
        browser.open(SERVER.url() + "/jobs/" + job + "/plate");
        browser.file("input[name=picture]", photo);
        browser.driver().executeScript("document.querySelector('input[name=picture]').form.requestSubmit()");
        browser.see("[data-plate]");
        browser.driver().executeScript("document.querySelector('[data-plate]').elements.radius.value = 0.42");
        browser.click("[data-plate] button");
        browser.see("[data-pins]");
        browser.open(SERVER.url() + "/jobs/" + job + "/strip?part=barrel&side=TRAIN");

        WebElement plan = browser.see("[data-pins]");
        new Actions(browser.driver()).moveToElement(plan, 60, -40).click().perform();
        browser.seeText("Pinned");
        Shape pin = load().movement().requirePart("barrel").shape();
        assertThat(pin.kind()).isEqualTo(Shape.Kind.PIN);
        // right of the centre on the train side is the left seen from the dial; up is up
        assertThat(pin.x()).isNegative();
        assertThat(pin.y()).isPositive();

        int before = load().sequence();
        WebElement head = browser.see(".pin[data-part=barrel]");
        new Actions(browser.driver())
                .moveToElement(head)
                .clickAndHold()
                .moveByOffset(-90, 0)
                .release()
                .perform();
        browser.untilTrue("the pin to move", () -> load().sequence() == before + 1);
        assertThat(load().movement().requirePart("barrel").shape().x()).isGreaterThan(pin.x());
    }
}
