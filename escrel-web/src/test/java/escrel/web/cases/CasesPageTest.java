package escrel.web.cases;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Side;
import escrel.core.watchcase.CaseBound;
import escrel.core.watchcase.CasePart;
import escrel.core.watchcase.CaseSaid;
import escrel.core.watchcase.CaseSheet;
import escrel.core.watchcase.Opens;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.CaseSheets;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

class CasesPageTest {
    private static final EscrelServer SERVER = EscrelServer.demo();

    private final Visitor visitor = new Visitor(SERVER.url());

    private static CaseSheets cases() {
        return SERVER.bean(CaseSheets.class);
    }

    private static OpenJob load(int job) {
        return SERVER.bean(Workshop.class).load(job);
    }

    private int arrive(String maker, String reference, Map<String, String> further) {
        Map<String, Object> form = new HashMap<>(Map.of(
                "watch",
                maker + " watch",
                "owner",
                "Mate, pilot boat Skua",
                "stance",
                "SYMPATHETIC",
                "maker",
                maker,
                "reference",
                reference));
        form.putAll(further);
        String path = visitor.post("/jobs", form).uri().getPath();
        assertThat(path).endsWith("/arrival");
        return Integer.parseInt(path.replaceAll("\\D", ""));
    }

    private HttpResponse<String> send(int job, String path, Map<String, Object> fields) {
        Map<String, Object> form = new HashMap<>(fields);
        form.put("seq", visitor.sequence(job));
        return visitor.post("/jobs/" + job + path, form);
    }

    @Test
    void aCaseIsBegunAndChangedOnItsDrawingByKeys() {
        try (Browser browser = new Browser()) {
            browser.open(SERVER.url() + "/cases");
            browser.type("[name=maker]", "Merrowdale");
            browser.type("[name=reference]", "B-7");
            browser.click("form[action='/cases/new'] .button");
            browser.seeText("The case as a whole");

            browser.key('+');
            browser.seeText("A further part");
            browser.driver()
                    .findElement(By.cssSelector("[name=kind] option[value=BEZEL_SPRING]"))
                    .click();
            browser.click("[name=flies]");
            browser.click("form .button.main");
            browser.seeText("Bezel spring is kept");

            browser.driver()
                    .findElement(By.cssSelector(".case-plan path[data-part=case-back]"))
                    .click();
            browser.untilTrue(
                    "the back at hand", () -> browser.driver().getCurrentUrl().endsWith("part=case-back"));
            browser.type("[name=diameter]", "34.5");
            browser.type("[name=fit]", "screwed");
            browser.click("form .button.main");
            browser.seeText("Case back is kept");
        }
        CaseSheet kept = cases().latest("merrowdale-b-7").orElseThrow();
        assertThat(cases().latestVersion("merrowdale-b-7")).isEqualTo(3);
        assertThat(kept.part("bezel-spring").orElseThrow().part().has(Hazard.FLIES))
                .isTrue();
        assertThat(kept.part("case-back").orElseThrow().sizeWords()).isEqualTo("34.5 mm, screwed");
        assertThat(visitor.get("/cases").body()).contains("Merrowdale B-7");
    }

    @Test
    void aLayerGoesFurtherOutByAKey() {
        int before = cases().latestVersion("lanthorn-lr-2");
        try (Browser browser = new Browser()) {
            browser.open(SERVER.url() + "/cases/lanthorn-lr-2?part=dust-cover");
            browser.key('4');
            browser.untilTrue("kept", () -> cases().latestVersion("lanthorn-lr-2") == before + 1);
        }
        assertThat(cases().latest("lanthorn-lr-2").orElseThrow().layers(CasePart.Face.BACK))
                .extracting(CasePart::code)
                .containsExactly("dust-cover", "case-back");
    }

    @Test
    void aWatchFindsItsCaseByWhatIsWrittenOnIt() {
        int known = arrive("Tidewell", "P-640, no. 12", Map.of());
        assertThat(load(known).recorded().last(CaseBound.class)).contains(new CaseBound("tidewell-p-640", 1));
        assertThat(visitor.get("/jobs/" + known + "/arrival").body()).contains("Case: Tidewell P-640, sheet version");

        int said = arrive("Tidewell", "P-64", Map.of("opens", "HINGED", "crown", "YES"));
        assertThat(load(said).caseSheet()).isNull();
        assertThat(load(said).recorded().all(CaseSaid.class))
                .containsExactly(
                        new CaseSaid(CaseSaid.Fact.OPENS, Opens.HINGED.name()),
                        new CaseSaid(CaseSaid.Fact.SCREW_DOWN_CROWN, CaseSaid.YES));
        // another maker's reference is another case
        assertThat(load(arrive("Skarholt", "P-640", Map.of())).caseSheet()).isNull();
    }

    @Test
    void aScrewDownCrownIsGuardedBeforeTheStem() {
        int job = arrive("Tidewell", "P-640", Map.of());
        send(job, "/calibre", Map.of("calibre", "cv-24"));
        assertThat(visitor.get("/jobs/" + job + "/strip?part=stem").body())
                .contains("First: screw-down crown unscrewed");

        send(job, "/case/said", Map.of("opens", "NOT_SAID", "crown", "NO"));
        assertThat(visitor.get("/jobs/" + job + "/strip?part=stem").body()).doesNotContain("unscrewed");
    }

    @Test
    void anotherCaseIsRefusedWhileThisOneIsHalfOpen() {
        int job = arrive("Skarholt", "D-77", Map.of());
        send(job, "/calibre", Map.of("calibre", "cv-28"));
        BenchHand hand = new BenchHand(SERVER, job);
        hand.off("turning-ring");

        assertThat(send(job, "/case", Map.of("sheet", "tidewell-s-112")).body())
                .contains("Turning ring of the present case lies in the tray", "The watch keeps the case it had");
        assertThat(load(job).caseSheet().id()).isEqualTo("skarholt-d-77");
        visitor.post("/jobs/" + job + "/undo", Map.of("room", "strip", "seq", visitor.sequence(job)));
        send(job, "/case", Map.of("sheet", "tidewell-s-112"));
        assertThat(load(job).caseSheet().id()).isEqualTo("tidewell-s-112");
    }

    @Test
    void whatWasLearntOfACaseWithoutASheetBecomesOne() {
        int job = arrive("Pellworth", "M-3", Map.of("opens", "BACK", "crown", "NO"));
        send(job, "/calibre", Map.of("calibre", "cv-12"));
        BenchHand hand = new BenchHand(SERVER, job);
        String clip = hand.name("Bezel clip", Group.CASE, Side.DIAL);
        hand.off(clip);
        String page = visitor.get("/jobs/" + job + "/learnt").body();
        assertThat(page).contains("Of its case, which has no sheet yet", "Bezel clip is added");

        send(job, "/learnt/case", Map.of("maker", "Pellworth", "reference", "M-3", "line", "NEW_PART:" + clip));
        CaseSheet kept = cases().latest("pellworth-m-3").orElseThrow();
        assertThat(kept.parts()).extracting(CasePart::code).containsExactly("case-back", clip);
        assertThat(load(job).caseSheet()).isEqualTo(kept);
        assertThat(load(job).teardown().isOff(clip)).isTrue();
    }

    @Test
    void badFilesAndOldPagesAreRefusedPlainly() {
        byte[] faulty = visitor.get("/cases/skarholt-d-77/case.json")
                .body()
                .replace("\"FRONT\"", "\"SIDEWAYS\"")
                .getBytes(StandardCharsets.UTF_8);
        assertThat(visitor.upload("/cases/import", Map.of(), "sheet", "case.json", faulty)
                        .body())
                .contains("is not what belongs there", "Nothing was taken in");
        byte[] sound = visitor.get("/cases/skarholt-d-77/case.json").body().getBytes(StandardCharsets.UTF_8);
        assertThat(visitor.upload("/cases/import", Map.of(), "sheet", "case.json", sound)
                        .body())
                .contains("is kept as version 1");

        assertThat(visitor.post("/cases/skarholt-t-9/place", Map.of("from", 9, "part", "crystal", "move", "REMOVED"))
                        .body())
                .contains("changed in another window");
        assertThat(visitor.post("/cases/new", Map.of("maker", "Skarholt", "reference", "T-9", "opens", "BACK"))
                        .body())
                .contains("already");
        assertThat(visitor.post(
                                "/cases/skarholt-t-9/facts",
                                Map.of("from", cases().latestVersion("skarholt-t-9"), "opens", "UPWARDS"))
                        .statusCode())
                .isBetween(400, 422);
        assertThat(cases().latest("skarholt-t-9").orElseThrow().parts())
                .extracting(CasePart::code)
                .contains("crystal");
        assertThat(List.of(visitor.get("/cases/no-such").statusCode())).containsExactly(422);
    }
}
