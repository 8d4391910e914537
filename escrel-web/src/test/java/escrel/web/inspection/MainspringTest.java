package escrel.web.inspection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.MendableException;
import escrel.core.mainspring.Mainspring;
import escrel.core.mainspring.SpringsListed.Stocked;
import escrel.web.storage.Sheets;
import escrel.web.storage.WorkshopLogs;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Which mainspring: from what was measured and what the workshop has. The list is the workshop's, so it has its own here. */
class MainspringTest {
    private static EscrelServer server;
    private static Visitor visitor;

    @BeforeAll
    static void start() {
        server = EscrelServer.empty();
        visitor = new Visitor(server.url());
        server.bean(Sheets.class).keep(BenchHand.demoSheet("cv-12"));
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    @Test
    void springsOfTheDrawerAreRankedForTheDrumThatWasMeasured() {
        int job = visitor.openJob("Tidewell service watch", "cv-12");
        BenchHand hand = new BenchHand(server, job);
        for (Map.Entry<String, String> measure : Map.of(
                        "BARREL_INSIDE_DIAMETER",
                        "10",
                        "ARBOR_DIAMETER",
                        "2.8",
                        "SPRING_WIDTH",
                        "1.5",
                        "SPRING_THICKNESS",
                        "0.1")
                .entrySet()) {
            hand.post(
                    "/strip/act",
                    Map.of(
                            "act",
                            "MEASURED",
                            "part",
                            "barrel",
                            "side",
                            "TRAIN",
                            "value",
                            measure.getKey(),
                            "words",
                            measure.getValue()));
        }
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/mainspring");
            browser.seeText("The workshop has no list of springs yet");
            browser.type(
                    "[name=table]",
                    "drawer, thickness, width, length, hook\nA7, 0.10, 1.45, 362, tongue\nB2, 0.12, 1.5, 340, hole\n");
            browser.click("details form button");
            browser.seeText("2 springs are listed for the workshop");

            assertThat(browser.see("#drum").getAttribute("value")).isEqualTo("10.0");
            browser.type("[name=length]", "360");
            browser.click(".spring-asked button");
            browser.seeText("the one that was in it");
            // M12: 0.4974 of the drum, 9.430 turns, one half by 361.91 mm
            browser.seeText("49.7 %");
            browser.seeText("9.43");
            browser.seeText("one half would be filled by 362 mm");
            assertThat(browser.text().indexOf("A7")).isLessThan(browser.text().indexOf("B2"));
            browser.seeText("another thickness: may knock where the swing was full");
        }
        assertThat(server.bean(WorkshopLogs.class).load().springs())
                .contains(new Stocked("A7", new Mainspring(1.45, 0.10, 362, "tongue")));
    }

    @Test
    void drumThatIsNoneIsRefusedInWords() {
        int job = visitor.openJob("No drum", "cv-12");
        assertThat(visitor.get("/jobs/" + job
                                + "/mainspring?inside=2&arbor=4&width=1.5&thickness=0.1&length=300&hours=6")
                        .body())
                .contains("A drum is larger than its arbor");
        assertThat(visitor.get("/jobs/" + job + "/mainspring?inside=x&arbor=4").statusCode())
                .isEqualTo(422);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "A7\t1.45\t0.1\t362\ttongue",
                "A7;1,45;0,1;362;tongue",
                "A7, 1.45, 0.1, 362, tongue",
                "\uFEFFNo.;Force;Height;Length;Bridle\nA7;0,1;1,45;362;tongue",
                "\"A7\",\"1.45\",\"0.1\",\"362\",\"tongue\""
            })
    void listsComeInManyForms(String text) {
        assertThat(read(text)).containsExactly(new Stocked("A7", new Mainspring(1.45, 0.1, 362, "tongue")));
    }

    @Test
    void whatIsNoSpringIsNamedByItsLineAndNothingIsKept() {
        assertThatThrownBy(() -> read("A7\t1.45\t0.1\t362\nB2\twide\t0.1\t300"))
                .isInstanceOf(MendableException.class)
                .hasMessageContaining("Line 2")
                .hasMessageContaining("no width");
        assertThatThrownBy(() -> read("A7\t-1.45\t0.1\t362")).hasMessageContaining("Line 1");
        assertThatThrownBy(() -> read("x".repeat(60_001))).hasMessageContaining("longer than");
        assertThatThrownBy(() -> read("A\t1\t0.1\t300\n".repeat(501))).hasMessageContaining("at most 500");
        // a cell is words, whatever it begins with
        assertThat(read("=1+1\t1.45\t0.1\t362").get(0).name()).isEqualTo("=1+1");
    }

    private static List<Stocked> read(String text) {
        SpringTable list = SpringTable.of(text);
        return list.springs(list.heading().isEmpty() ? SpringColumns.USUAL : SpringColumns.guess(list.heading()))
                .springs();
    }
}
