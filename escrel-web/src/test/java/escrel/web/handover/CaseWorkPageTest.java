package escrel.web.handover;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.casework.CaseWorked;
import escrel.core.casework.Layer;
import escrel.core.casework.Layered;
import escrel.core.casework.WaterTested;
import escrel.web.storage.WorkshopLogs;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;

class CaseWorkPageTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());
    private final int job = visitor.openJob("Tidewell P-640", "cv-12");
    private final BenchHand hand = new BenchHand(server, job);

    @Test
    void taskStaysWithinTheStanceAndItsCautionStandsBesideIt() {
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/case-work");
            browser.click("a[href$='task=POLISHED']");
            browser.seeText("eye protection, dust mask");
            browser.seeText("it takes metal: how much is agreed");
            browser.type("main form [name=words]", "lugs only, hallmarks left");
            browser.click("main form .main");
            browser.seeText("✓ polished: lugs only, hallmarks left");
            browser.key('+');
            browser.type("#bar", "3");
            browser.click("[name=passed][value=true]");
            browser.seeText("Tested against water dry, in air, at 3 bar: it held");
        }
        assertThat(visitor.get("/jobs/" + job + "/report").body())
                .contains("Polished: lugs only, hallmarks left.")
                .contains("at 3 bar: it held. Nothing beyond this test is promised.");
    }

    @Test
    void whatGoesAgainstTheStanceWantsAReasonAndWhatIsNoTestIsRefused() {
        assertThat(hand.post("/case-work", Map.of("task", "PLATED")).body())
                .contains("needs a reason: renew was not agreed");
        assertThat(hand.post("/case-work", Map.of("task", "POLISHED")).body()).contains("How far it went is not said");
        assertThat(hand.post("/case-work", Map.of("task", "GASKETS", "before", "77"))
                        .body())
                .contains("The job has no photo 77");
        assertThat(hand.post("/water", Map.of("bar", "deep", "way", "DRY", "passed", "true"))
                        .body())
                .contains("“deep” is no number");
        assertThat(hand.post("/water", Map.of("bar", "0", "way", "DRY", "passed", "true"))
                        .body())
                .contains("A pressure lies above 0");
        assertThat(hand.load().history().all(CaseWorked.class)).isEmpty();
        assertThat(hand.load().history().all(WaterTested.class)).isEmpty();
    }

    /** Layer upon layer; the gold bath has a clock, and after rinsing another piece begins anew. */
    @Test
    void platingGoesLayerByLayerWithAClockForItsBath() {
        WorkshopLogs logs = server.bean(WorkshopLogs.class);
        assertThat(hand.post("/layers", Map.of("layer", "CLEANED")).body())
                .contains("Plating goes against what was agreed: renew was not agreed");
        for (Layer layer : Layer.values()) {
            String minutes = layer.minutes() == 0 ? "" : String.valueOf(layer.minutes());
            hand.post("/layers", Map.of("layer", layer.name(), "minutes", minutes, "words", "the bezel, as asked"));
        }
        assertThat(hand.load().history().all(Layered.class))
                .extracting(Layered::layer)
                .containsExactly(Layer.values());
        // about a quarter of an hour in the gold
        assertThat(logs.load().running().of(job))
                .singleElement()
                .satisfies(r -> assertThat(r.clock().length()).hasMinutes(15));
        // the demo's server is everybody's: its clock is seen to at once
        visitor.post("/clocks/" + logs.load().running().of(job).get(0).clock().id() + "/ended", Map.of("done", "true"));
        assertThat(visitor.get("/jobs/" + job + "/case-work?task=PLATED").body())
                .contains("gold, 15 min: the bezel, as asked", "never near acids", "Nickel beneath gold")
                .contains("name=\"layer\" value=\"CLEANED\"");
        assertThat(visitor.get("/jobs/" + job + "/report").body())
                .contains("Plating: gold, 15 min: the bezel, as asked.");
        assertThat(hand.post("/layers", Map.of("layer", "GOLD", "minutes", "long", "words", "x"))
                        .body())
                .contains("no number of minutes");
        assertThat(hand.post("/layers", Map.of("layer", "GOLD", "minutes", "601", "words", "x"))
                        .body())
                .contains("at most 600 minutes");
    }

    @Test
    void parcelBackRemembersWhatItCameWith() {
        hand.post("/parcel", Map.of("item", "STRAP", "words", "a tobacco tin"));
        assertThat(visitor.get("/jobs/" + job + "/handover").body())
                .contains("It came with: strap or bracelet, a tobacco tin", "value=\"strap or bracelet\"");

        hand.post(
                "/parcel-back",
                Map.of("carrier", "the mail boat", "packing", "box in a box", "cost", "12,50", "contents", "strap"));

        assertThat(visitor.get("/jobs/" + job + "/handover").body())
                .contains("Parcel: the mail boat, box in a box; with it strap, cost 12.5");
        assertThat(visitor.get("/jobs/" + job + "/report").body())
                .contains("Parcel: the mail boat, box in a box; with it strap.")
                .doesNotContain("12.5");
        assertThat(hand.post("/parcel-back", Map.of("carrier", "")).body()).contains("Who takes it is not said");
    }
}
