package escrel.web.tray;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.handover.Stage;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.PhotoAdded;
import escrel.core.service.Tally;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.web.job.Workshop;
import escrel.web.storage.Sheets;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.By;

/** Tray, ways in, photos and schools, as their pages have them. */
class StripRoomsTest {
    private final EscrelServer server = EscrelServer.demo();

    private BenchHand stripped(int parts) {
        return new BenchHand(server, Stripped.cv12(server, parts));
    }

    @Test
    void trayFindsAPartByThreeLetters() {
        BenchHand hand = stripped(20);
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + hand.load().number() + "/tray");
            browser.key('/');
            browser.type("#find", "ratch");
            browser.seeText("1 compartment");
            assertThat(browser.driver().findElements(By.cssSelector(".compartment.found")))
                    .singleElement()
                    .satisfies(c ->
                            assertThat(c.getText()).contains("Ratchet wheel").contains("1 short"));
            browser.type("#find", "zzz");
            browser.seeText("no part of that name lies here");
        }
    }

    @Test
    void trayFollowsTheHabitWarnsOfMissingScrewsAndPrintsLabels() {
        BenchHand hand = stripped(16);
        assertThat(hand.post("/strip/off", Map.of("part", "crown-wheel", "answered", "true", "screws", "MISSING:2"))
                        .body())
                .contains("Crown wheel has 1 screw by what is known: 2 cannot be missing");
        hand.post("/strip/off", Map.of("part", "crown-wheel", "answered", "true", "screws", "MISSING:1"));

        assertThat(hand.get("/tray").body())
                .contains("In the order of removal", "Crown wheel: 1 of its 1 screws missing");
        hand.post("/schools", Map.of("choice", Choice.TRAY_BY_GROUP));
        assertThat(hand.get("/tray").body()).contains("By group", "barrel");
        assertThat(hand.get("/tray/labels").body()).contains("Labels for a real tray", "Case back");
    }

    /**
     * To the mainspring of each calibre: what a watchmaker leaves fitted, and why.
     *
     * <ul>
     *   <li>dial side, keyless work: the barrel comes out from the train side
     *   <li>train: its bridge stays, nothing of it lies over the barrel (CV-28: one bridge holds both, so the wheels come
     *       loose, and still none has to come out)
     *   <li>balance: stays where it has shock settings, save under the one bridge of the CV-28; without, it is off at
     *       once, always
     *   <li>CV-33: what stands beside the barrel bridge of the chronograph; M·7H: the alarm's hammer work goes with the
     *       bridge over both barrels
     *   <li>L-43: its centre wheel lies over the barrel and the cannon pinion grips it, so hands and dial must go
     * </ul>
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "cv-12 | setting-lever-spring yoke minute-wheel cannon-pinion dial train-bridge escape-wheel pallet-fork"
                        + " balance crown-wheel click lower-cap | balance-cock power-down ratchet-wheel barrel-bridge",
                "cv-24 | dial hour-wheel date-ring setting-lever-spring balance-cock pallet-bridge train-bridge"
                        + " seconds-pinion driving-wheel crown-wheel click reverser-1 | weight automatic-bridge power-down",
                "cv-28 | dial date-ring day-disc setting-lever-spring escape-wheel fourth-wheel third-wheel reverser-1"
                        + " click | weight balance-cock power-down train-bridge",
                "cv-33 | dial cannon-pinion setting-lever-spring train-bridge fourth-wheel column-wheel runner"
                        + " minute-counter coupling-clutch operating-lever crown-wheel | balance-cock hammer barrel-bridge",
                "p-8 | dial setting-lever-spring train-bridge pallet-fork crown-wheel click-spring balance"
                        + " | balance-cock power-down ratchet-wheel",
                "l-43 | setting-lever-spring yoke clutch crown-wheel click balance lower-cap"
                        + " | balance-cock dial cannon-pinion three-quarter-plate centre-wheel",
                "m-7h | dial setting-lever-spring train-bridge alarm-hammer stop-lever alarm-barrel crown-wheel"
                        + " | balance-cock power-down alarm-power-down alarm-ratchet"
            })
    void wayInToTheMainspringLeavesFittedWhatAWatchmakerWould(String id, String stays, String goes) {
        CalibreSheet sheet = BenchHand.demoSheet(id);
        List<String> way =
                TeardownOrder.wayIn(TeardownState.of(sheet, JobHistory.empty()), Schools.DEFAULT, "mainspring")
                        .remaining()
                        .stream()
                        .map(Part::code)
                        .toList();

        assertThat(way).endsWith("mainspring").contains(goes.split(" ")).doesNotContain(stays.split(" "));
        assertThat(sheet.parts()).extracting(Part::code).contains(stays.split(" "));
    }

    @Test
    void partialServiceEndsAtItsTargetAndTheAccountsCountOnlyWhatCameOff() {
        BenchHand hand = stripped(0);
        String page = hand.get("/way?part=mainspring").body();
        assertThat(page).contains("own times", "Out again", "Barrel bridge", "Stays fitted");

        hand.post("/way", Map.of("target", "mainspring", "reason", "falls off before the evening"));
        assertThat(hand.get("/strip").body()).contains("only as far as Mainspring");
        List<String> way = hand.proposed();
        way.forEach(hand::off);

        assertThat(way).endsWith("mainspring").hasSizeLessThan(16);
        assertThat(hand.proposed()).isEmpty();
        assertThat(hand.load().teardown().isBare()).isTrue();
        assertThat(hand.load().stage()).isEqualTo(Stage.INSPECTING);
        assertThat(hand.get("/strip").body()).contains("Mainspring is out.").doesNotContain("Bare plate");
        assertThat(hand.load().job().accounts())
                .filteredOn(a -> a.kind() == Tally.Kind.HOMES)
                .singleElement()
                .satisfies(a -> assertThat(a.open()).hasSize(way.size() - 1));
        hand.post("/way", Map.of("target", ""));
        assertThat(hand.proposed()).contains("setting-lever-spring");
    }

    @Test
    void leftFittedPartIsNotProposedAndUndoBringsItBack() {
        BenchHand hand = stripped(27);
        hand.act("LEFT_FITTED", "setting-lever-spring", "", "clean and sound", Side.DIAL);

        assertThat(hand.proposed()).doesNotContain("setting-lever-spring", "yoke");
        hand.post("/strip/undo", Map.of());
        assertThat(hand.proposed()).contains("setting-lever-spring", "yoke");
    }

    @Test
    void whatWasObservedMeasuredAndLostStandsOnTheCardOfItsPart() {
        BenchHand hand = stripped(14);
        hand.act("OBSERVED", "balance-cock", "", "hairspring touched with oil", Side.TRAIN);
        hand.act("MEASURED", "balance-cock", "END_SHAKE", "0.03", Side.TRAIN);
        hand.act("LOST", "pallet-bridge", "", "", Side.TRAIN);

        assertThat(hand.get("/strip?part=balance-cock").body())
                .contains("observed: hairspring touched with oil", "end shake 0.03 mm");
        assertThat(hand.get("/strip?part=pallet-bridge").body()).contains("Pallet bridge lost", "search open");
        assertThat(hand.get("/handover").body()).contains("Pallet bridge is lost");
        hand.post("/notes", Map.of("words", "Owner keeps the old crown."));
        assertThat(hand.get("/arrival").body()).contains("Owner keeps the old crown.");
        assertThat(hand.post("/notes", Map.of("words", " ")).statusCode()).isEqualTo(422);
    }

    private static byte[] picture() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    @Test
    void photoBelongsToItsStepAndThePlanIsShownAsItWasThen() throws IOException {
        BenchHand hand = stripped(12);
        assertThat(hand.get("/strip").body()).contains("a photo is due");
        hand.upload("/strip/photo", Map.of("part", "balance-cock", "side", "TRAIN"), picture());
        assertThat(hand.get("/strip").body()).doesNotContain("a photo is due").contains("/photos/1/small");
        hand.off("power-down");
        hand.off("pallet-bridge");

        assertThat(hand.get("/film?photo=1").body()).contains("12 parts off", "train side up", "Balance with cock");
        // taking the photo back leaves the steps around it, and the picture itself
        hand.post("/strip/undo", Map.of());
        hand.post("/strip/undo", Map.of());
        hand.post("/strip/undo", Map.of());
        assertThat(hand.get("/film").body()).contains("No photo yet");
        assertThat(hand.get("/photos/1").statusCode()).isEqualTo(200);
        assertThat(hand.load().teardown().order()).hasSize(12);
    }

    @Test
    void schoolsHoldForTheWorkshopACalibreOrAJob() {
        try (EscrelServer own = EscrelServer.empty()) {
            own.bean(Sheets.class).keep(BenchHand.demoSheet("cv-24"));
            Visitor visitor = new Visitor(own.url());
            BenchHand hand = new BenchHand(own, visitor.openJob("Tidewell automatic", "cv-24"));
            assertThat(hand.proposed()).containsSubsequence("minute-wheel", "cannon-pinion");

            visitor.post("/settings", Map.of("choice", Choice.CANNON_PINION_FIRST));
            assertThat(hand.proposed()).containsSubsequence("cannon-pinion", "minute-wheel");
            visitor.post("/calibres/cv-24/schools", Map.of("choice", Choice.AFTER_MINUTE_WHEEL));
            assertThat(hand.proposed()).containsSubsequence("minute-wheel", "cannon-pinion");
            assertThat(visitor.get("/calibres/cv-24/schools").body()).contains("as in the workshop");
            hand.post("/schools", Map.of("choice", Choice.CANNON_PINION_FIRST));
            assertThat(hand.proposed()).containsSubsequence("cannon-pinion", "minute-wheel");
            hand.post("/strip/undo", Map.of());
            visitor.post("/calibres/cv-24/schools/forget", Map.of("school", "CANNON_PINION"));
            assertThat(hand.proposed()).containsSubsequence("cannon-pinion", "minute-wheel");

            visitor.post("/settings", Map.of("choice", Choice.FORK_DIPPED));
            assertThat(hand.load()
                            .requireSheet()
                            .requirePart("escape-wheel")
                            .wash()
                            .name())
                    .isEqualTo("DIP");
            assertThat(visitor.get("/settings").body()).contains("nothing can loosen the shellac");
        }
    }

    @Test
    void ofManyPhotosTheNewestStandUnderThePlanAndTheFilmHasAll() {
        BenchHand hand = stripped(3);
        add(hand, 8);
        assertThat(photosOf(hand)).containsExactly(1, 2, 3, 4, 5, 6, 7, 8);
        assertThat(hand.get("/strip").body()).doesNotContain("all 8<");

        add(hand, 1);

        assertThat(photosOf(hand)).containsExactly(2, 3, 4, 5, 6, 7, 8, 9);
        assertThat(hand.get("/strip").body()).contains("/film\">all 9<");
    }

    private void add(BenchHand hand, int photos) {
        int first = (int) hand.load().history().all(PhotoAdded.class).count() + 1;
        Workshop workshop = server.bean(Workshop.class);
        IntStream.range(first, first + photos)
                .forEach(p -> workshop.add(hand.load().number(), new PhotoAdded(p, null, "")));
    }

    private static List<Integer> photosOf(BenchHand hand) {
        return Pattern.compile("/photos/(\\d+)/small")
                .matcher(hand.get("/strip").body())
                .results()
                .map(m -> Integer.valueOf(m.group(1)))
                .toList();
    }
}
