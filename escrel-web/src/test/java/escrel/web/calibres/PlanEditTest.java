package escrel.web.calibres;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.ScrewPlace;
import escrel.web.storage.Sheets;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

class PlanEditTest {
    private static final EscrelServer SERVER = EscrelServer.demo();

    private final Visitor visitor = new Visitor(SERVER.url());
    private String id;

    /** A copy of its own for each test. */
    @BeforeEach
    void copy() {
        id = "plan-" + System.nanoTime() % 1_000_000_000L;
        visitor.post("/calibres/cv-12/copy", Map.of("newId", id, "newName", "Planned"));
    }

    private CalibreSheet sheet() {
        return SERVER.bean(Sheets.class).latest(id).orElseThrow();
    }

    private String send(String what, Map<String, Object> fields) {
        Map<String, Object> form = new HashMap<>(Map.of("from", 1, "side", "TRAIN", "off", 0));
        form.putAll(fields);
        return visitor.post("/calibres/" + id + "/plan/" + what, form).body();
    }

    @Test
    void aPartAScrewAndAnOilPointAreChosenOnThePlanAndChanged() {
        try (Browser browser = new Browser()) {
            browser.open(SERVER.url() + "/calibres/" + id + "/plan");
            // under load the first press may come before the page listens: it is pressed until it is heard
            browser.untilTrue("the cock to be chosen", () -> {
                browser.driver()
                        .executeScript("document.querySelector('.sheet-plan path[data-part=balance-cock]')"
                                + "?.dispatchEvent(new MouseEvent('click', {bubbles: true}))");
                return !browser.driver()
                        .findElements(By.cssSelector("[name=liftFrom]"))
                        .isEmpty();
            });
            browser.type("[name=liftFrom]", "at its foot");
            browser.click("[name=traits][value=LONG_PIVOT]");
            browser.click("form .button.main");
            browser.seeText("Kept as version 2");

            browser.key('2'); // on to its screw
            browser.seeText("A screw of Balance with cock");
            browser.driver()
                    .findElement(By.cssSelector("[name=thread] option[value=LEFT]"))
                    .click();
            browser.click("form .button.main");
            browser.seeText("Kept as version 3");

            browser.driver()
                    .executeScript("document.querySelector('.mark-oil[data-part=\"oil:o-third-up\"]')"
                            + ".dispatchEvent(new MouseEvent('click', {bubbles: true}))");
            browser.seeText("Third wheel, upper pivot");
            browser.driver()
                    .findElement(By.cssSelector("[name=lubricant] option[value=MEDIUM_OIL]"))
                    .click();
            browser.click("form .button.main");
            browser.seeText("Kept as version 4");
        }
        assertThat(sheet().requirePart("balance-cock").liftFrom()).isEqualTo("at its foot");
        assertThat(sheet().requirePart("balance-cock").has(Hazard.LONG_PIVOT)).isTrue();
        assertThat(sheet().screwsOf("balance-cock").get(0).thread()).isEqualTo(ScrewPlace.Thread.LEFT);
        assertThat(sheet().oilPoint("o-third-up").orElseThrow().lubricant()).isEqualTo(LubricantClass.MEDIUM_OIL);
    }

    @Test
    void newPointIsPointedAtAndAScrewIsMovedByKeys() {
        int points = sheet().oilPoints().size();
        try (Browser browser = new Browser()) {
            browser.open(SERVER.url() + "/calibres/" + id + "/plan?part=third-wheel");
            browser.key('7');
            browser.seeText("Point at the place");
            new Actions(browser.driver())
                    .moveToElement(browser.see("#sheet-plan"), 60, -40)
                    .click()
                    .perform();
            browser.seeText("Kept as version 2");
            browser.seeText("From the centre towards 3, mm");

            String screw = sheet().screwsOf("balance-cock").get(0).code();
            browser.open(SERVER.url() + "/calibres/" + id + "/plan?part=screw:" + screw);
            browser.key('7');
            browser.seeText("Point at the place");
            browser.driver().switchTo().activeElement().sendKeys(Keys.ARROW_UP, Keys.ARROW_UP, Keys.ENTER);
            browser.seeText("Kept as version 3");
        }
        assertThat(sheet().oilPoints()).hasSize(points + 1);
        OilPoint drawn = sheet().oilPoints().get(points);
        assertThat(drawn.part()).isEqualTo("third-wheel");
        // right of the middle on the train side is the left seen from the dial; up is up
        assertThat(drawn.x()).isNegative();
        assertThat(drawn.y()).isPositive();
        ScrewPlace moved = sheet().screwsOf("balance-cock").get(0);
        assertThat(moved.x()).isZero();
        assertThat(moved.y()).isPositive();
    }

    @Test
    void furtherScrewIsOneMoreHoleOfThePart() {
        int holes = sheet().screwsOf("balance-cock").size();
        send("new-screw", Map.of("code", "balance-cock", "x", "4.25", "y", "-3", "length", "LONG"));

        assertThat(sheet().screwsOf("balance-cock")).hasSize(holes + 1);
        assertThat(sheet().screwsOf("balance-cock").get(holes).length()).isEqualTo(ScrewPlace.LengthClass.LONG);
        assertThat(send("new-screw", Map.of("from", 2, "code", "no-part", "x", "1", "y", "1")))
                .contains("is not said");
        assertThat(send("new-oil", Map.of("from", 2, "code", "balance-cock"))).contains("is not said");
        assertThat(send("new-screw", Map.of("from", 2, "code", "balance-cock", "x", "999", "y", "0")))
                .as("outside the movement")
                .doesNotContain("Kept as version");
    }

    @Test
    void layersAreLeafedAwayAndComeBack() {
        try (Browser browser = new Browser()) {
            browser.open(SERVER.url() + "/calibres/" + id + "/plan");
            int before = browser.driver()
                    .findElements(By.cssSelector(".sheet-plan .p.s-gone"))
                    .size();
            browser.key('6');
            browser.seeText("1 of ");
            assertThat(browser.driver().findElements(By.cssSelector(".sheet-plan .p.s-gone")))
                    .hasSizeGreaterThan(before);
            browser.key('4');
            browser.seeText("0 of ");
        }
    }

    @Test
    void aHoldIsStatedAndDroppedAndARingRefused() {
        send("part", Map.of("code", "fourth-wheel", "heldBy", "pallet-bridge", "why", "under its foot"));
        assertThat(sheet().holdsOn("fourth-wheel")).extracting(h -> h.by()).contains("pallet-bridge");

        assertThat(send("part", Map.of("from", 2, "code", "pallet-bridge", "heldBy", "fourth-wheel", "why", "x")))
                .contains("in a ring");
        assertThat(send("part", Map.of("from", 1, "code", "fourth-wheel", "note", "late")))
                .contains("changed in another window");
        send("part", Map.of("from", 2, "code", "fourth-wheel", "free", "pallet-bridge"));
        assertThat(sheet().holdsOn("fourth-wheel")).extracting(h -> h.by()).doesNotContain("pallet-bridge");
        assertThat(send(
                        "screw",
                        Map.of("from", 3, "code", sheet().screws().get(0).code(), "blade", "40")))
                .contains("wants a blade between 0 and 6 mm");
    }
}
