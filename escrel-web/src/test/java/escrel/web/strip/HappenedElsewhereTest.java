package escrel.web.strip;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Side;
import escrel.core.parts.Finding;
import escrel.core.service.Happened;
import escrel.core.service.PartOn;
import escrel.core.service.PhotoAdded;
import escrel.web.demo.PlanPicture;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

/** What happens to a part is said by one key from climb, inspection and wash, and one is back where one was. */
class HappenedElsewhereTest {
    private static final EscrelServer SERVER = EscrelServer.demo();
    private static Browser browser;

    @BeforeAll
    static void openTheBrowser() {
        browser = new Browser();
    }

    @AfterAll
    static void closeTheBrowser() {
        browser.close();
    }

    private static OpenJob load(int job) {
        return SERVER.bean(Workshop.class).load(job);
    }

    private static void openRoom(int job, String room) {
        browser.open(SERVER.url() + "/jobs/" + job + "/" + room);
        browser.see("[data-key='0']");
    }

    private static void backIn(String room) {
        browser.untilTrue(
                "back in " + room, () -> browser.driver().getCurrentUrl().endsWith("/" + room));
    }

    @Test
    void partAtHandOnTheClimbFliesAndTheUndoOfTheClimbTakesItBack() {
        int job = Stripped.cv12(SERVER, 20);
        openRoom(job, "climb");
        String part = browser.heading();
        browser.key('0');
        browser.seeText(part + ": what of it?");
        browser.keyOnBench('1');
        browser.key('1'); // lost: open a search
        backIn("climb");

        assertThat(load(job).job().searches().lost()).hasSize(1);
        browser.seeText("takes back: " + part + " lost");
        browser.keyOnBench('-');
        assertThat(load(job).job().searches().lost()).isEmpty();
    }

    @Test
    void aPhotoIsTakenFromTheClimbAndLeadsBack() throws IOException {
        int job = Stripped.cv12(SERVER, 20);
        Path file = Files.createTempFile("taken", ".jpg");
        Files.write(file, PlanPicture.of(BenchHand.demoSheet("cv-12"), Side.TRAIN, c -> false));
        openRoom(job, "climb");
        String part = browser.heading();
        browser.key('0');
        browser.seeText("a photo");
        browser.see("[data-press='photo-file'][data-key='6']");
        browser.driver().findElement(By.id("photo-file")).sendKeys(file.toString());
        backIn("climb");

        PhotoAdded photo = load(job).history().last(PhotoAdded.class).orElseThrow();
        assertThat(load(job).movement().requirePart(photo.part()).name()).isEqualTo(part);
    }

    @Test
    void aSuspicionIsOpenedOnArrivalAndAtTheFirstReading() {
        int job = new Visitor(SERVER.url()).openJob("Tidewell suspected watch", "cv-12");
        for (String room : List.of("arrival", "readings")) {
            browser.open(SERVER.url() + "/jobs/" + job + "/" + room);
            browser.driver()
                    .findElement(By.cssSelector("form[action$='/suspicions'] option[value=mainspring]"))
                    .click();
            browser.type("form[action$='/suspicions'] [name=words]", "spring may be set, said on " + room);
            browser.enter();
            browser.seeText("said on " + room);
            backIn(room);
        }
        assertThat(new Visitor(SERVER.url())
                        .get("/jobs/" + job + "/strip?part=mainspring")
                        .body())
                .contains("said on arrival", "said on readings");
    }

    /** What flew becomes a trap of the calibre, or of the case it belongs to. */
    @Test
    void aMishapMayBecomeATrap() {
        Visitor visitor = new Visitor(SERVER.url());
        visitor.post("/calibres/cv-12/copy", Map.of("newId", "trapped", "newName", "Trapped"));
        int job = visitor.openJob("Tidewell trapped watch", "trapped");
        visitor.post("/cases/new", Map.of("maker", "Tidewell", "reference", "T-1", "opens", "BACK"));
        visitor.post("/jobs/" + job + "/case", Map.of("seq", visitor.sequence(job), "sheet", "tidewell-t-1"));
        BenchHand hand = new BenchHand(SERVER, job);
        hand.post(
                "/strip/off",
                Map.of("part", "yoke-spring", "answered", "true", "inSpiteOf", "it jumped out by itself"));
        hand.act("LOST", "yoke-spring", "", "towards the window", Side.DIAL);
        hand.act("DAMAGED_NOW", "case-back", "", "levered at the rim", Side.TRAIN);
        String page = visitor.get("/jobs/" + job + "/learnt").body();
        assertThat(page).contains("Trap: Case back was damaged here once: levered at the rim.");

        visitor.post(
                "/jobs/" + job + "/learnt", Map.of("seq", visitor.sequence(job), "line", trapIn(page, "Yoke spring")));
        visitor.post(
                "/jobs/" + job + "/learnt/case",
                Map.of("seq", visitor.sequence(job), "line", trapIn(page, "Case back")));
        assertThat(load(job).sheet().traps()).anyMatch(t -> t.startsWith("Yoke spring flew"));
        assertThat(load(job).sheet().traps()).noneMatch(t -> t.startsWith("Case back"));
        assertThat(load(job).caseSheet().traps())
                .containsExactly("Case back was damaged here once: levered at the rim.");
        assertThat(visitor.get("/jobs/" + job + "/learnt").body()).doesNotContain("Trap: Case back");
    }

    private static String trapIn(String page, String part) {
        Matcher trap =
                Pattern.compile("value=\"(TRAP:\\d+)\"><span>Trap: " + part).matcher(page);
        assertThat(trap.find()).as("a trap of " + part).isTrue();
        return trap.group(1);
    }

    /** A screw still in the tray is noticed late as a rule: it can be said from the climb of any part that is on. */
    @Test
    void screwNoticedLateIsSaidFromTheClimb() {
        int job = Stripped.cleanCv12(SERVER);
        SERVER.bean(Workshop.class).append(job, load(job).sequence(), PartOn.plain("barrel-bridge"));
        openRoom(job, "climb");
        browser.key('0');
        browser.seeText("Which part?");
        browser.type("#say", "barrel br");
        browser.enter();
        browser.seeText("Barrel bridge: what of it?");
        browser.keyOnBench('8');
        browser.seeText("Barrel bridge: how many of its screws?");
        browser.key('1');
        backIn("climb");
        assertThat(load(job).job().lives().screwsToCome().get("barrel-bridge").count())
                .isEqualTo(1);
        // of one that is off all of them wait anyway
        assertThat(new BenchHand(SERVER, job)
                        .act("SCREWS_TO_COME", "train-bridge", "1", "", Side.TRAIN)
                        .body())
                .contains("Train bridge is off");
    }

    @Test
    void anyPartIsFoundByThreeLettersFromTheInspectionAndTheWash() {
        int job = Stripped.cv12(SERVER, 20);
        openRoom(job, "findings");
        browser.key('0');
        browser.seeText("Which part?");
        browser.type("#say", "hour wh");
        browser.enter();
        browser.seeText("Hour wheel: what of it?");
        for (char key : "211".toCharArray()) {
            browser.keyOnBench(key); // look, a finding, the part as a whole
        }
        browser.keyOnBench('2'); // to mend
        browser.key('5'); // bent
        backIn("findings");
        assertThat(load(job).job().findings().open())
                .extracting(Finding::part, Finding::what)
                .containsExactly(org.assertj.core.groups.Tuple.tuple("hour-wheel", "bent"));

        openRoom(job, "wash");
        browser.key('0');
        browser.type("#say", "hour wh");
        browser.enter();
        browser.seeText("Hour wheel: what of it?");
        browser.key('4'); // was fitted the wrong way round
        backIn("wash");
        assertThat(load(job).history().last(Happened.class).orElseThrow().what())
                .isEqualTo(Happened.What.WRONG_WAY_ROUND);
        assertThat(load(job).job().findings().open()).hasSize(1);
    }
}
