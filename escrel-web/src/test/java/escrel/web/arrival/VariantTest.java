package escrel.web.arrival;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Part;
import escrel.core.service.CalibreBound;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A variant is said on arrival or half-way down; its movement has the parts it has. */
class VariantTest {
    private static final String PLAIN = "CV-28 without day";

    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());
    private final int job = visitor.openJob("Skarholt date watch", "cv-28");
    private final BenchHand hand = new BenchHand(server, job);

    @Test
    void partsTheVariantHasNotGotAreAskedForNowhere() {
        assertThat(hand.load().movement().part("day-disc")).isPresent();
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/arrival");
            browser.choose("[name=variant]", PLAIN);
            browser.click("form[action$='/calibre'] button");
            browser.untilTrue(
                    "the variant to be kept",
                    () -> hand.load()
                            .history()
                            .last(CalibreBound.class)
                            .map(CalibreBound::variant)
                            .filter(PLAIN::equals)
                            .isPresent());
        }
        assertThat(hand.load().movement().parts())
                .extracting(Part::code)
                .doesNotContain("day-disc", "day-clip", "day-jumper")
                .contains("date-cover");
        assertThat(hand.load().movement().requirePart("day-finger-wheel").name())
                .isEqualTo("Date driving wheel");
        assertThat(visitor.get("/jobs/" + job + "/strip").body()).doesNotContain("Day disc");
        assertThat(visitor.get("/jobs/" + job + "/learnt").body()).doesNotContain("is called “Date driving wheel”");
        for (String room : new String[] {"inspect", "findings", "wash", "climb", "tray", "handover", "report", "way"}) {
            assertThat(visitor.get("/jobs/" + job + "/" + room).statusCode())
                    .as(room)
                    .isEqualTo(200);
        }
        // the sheet itself stays whole, here and in the file that goes elsewhere
        assertThat(hand.load().sheet().part("day-disc")).isPresent();
        assertThat(visitor.get("/jobs/" + job + "/dossier.json").body()).contains("\"day-disc\"");

        hand.post("/calibre", Map.of("calibre", "cv-28", "variant", ""));
        assertThat(hand.load().movement().part("day-disc"))
                .as("it was the other one after all")
                .isPresent();
    }

    @Test
    void variantOfAnotherCalibreIsNotTaken() {
        hand.post("/calibre", Map.of("calibre", "cv-12", "variant", PLAIN));

        assertThat(hand.load().history().last(CalibreBound.class).orElseThrow().variant())
                .isEmpty();
    }
}
