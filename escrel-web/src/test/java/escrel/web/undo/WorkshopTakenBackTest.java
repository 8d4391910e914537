package escrel.web.undo;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.storage.Sheets;
import escrel.web.storage.WorkshopLogs;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

/** What was said to the workshop by mistake is taken back where it was said, the newest first. */
class WorkshopTakenBackTest {
    private static EscrelServer server;
    private static Visitor visitor;

    @BeforeAll
    static void start() {
        server = EscrelServer.empty();
    }

    @BeforeEach
    void visit() {
        visitor = new Visitor(server.url());
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static WorkshopLogs log() {
        return server.bean(WorkshopLogs.class);
    }

    private static int newest() {
        return log().load()
                .acts()
                .recorded()
                .get(log().load().acts().recorded().size() - 1)
                .sequence();
    }

    private static List<String> bottles() {
        return log().load().bottles().all().stream().map(b -> b.name()).toList();
    }

    @Test
    void loadTakenBackIsCountedInNoJarAndItsClockStops() {
        server.bean(Sheets.class).keep(BenchHand.demoSheet("cv-12"));
        BenchHand hand = new BenchHand(server, Stripped.cv12(server, 99));
        hand.post("/wash/load", Map.of());
        assertThat(log().load().jars().all()).extracting(j -> j.soil()).containsExactly(1, 1, 1);
        int before = log().load().running().running().size();
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + hand.load().number() + "/wash");
            browser.click("form[action='/workshop/back'] button");
            browser.untilTrue(
                    "the load to be no load",
                    () -> log().load().running().running().size() == before - 1);
            // back on the wash of the job it was pressed on
            browser.seeText("Taken back");
            assertThat(browser.driver().getCurrentUrl())
                    .endsWith("/jobs/" + hand.load().number() + "/wash");
        }
        assertThat(log().load().jars().all()).extracting(j -> j.soil()).containsExactly(0, 0, 0);
        // and once more: the next load is the first again
        hand.post("/wash/load", Map.of());
        assertThat(log().load().jars().all()).extracting(j -> j.soil()).containsExactly(1, 1, 1);
    }

    @Test
    void bottleThrownAwayByMistakeStandsAgainByOneKey() {
        visitor.post("/parts/bottles", Map.of("lubricant", "FINE_OIL", "name", "fine A"));
        visitor.post("/parts/bottles", Map.of("lubricant", "PALLET", "name", "pallet oil B"));
        String id = log().load().bottles().all().stream()
                .filter(b -> b.name().equals("fine A"))
                .findFirst()
                .orElseThrow()
                .id();
        visitor.post("/parts/bottles/" + id + "/gone", Map.of());
        assertThat(bottles()).contains("pallet oil B").doesNotContain("fine A");
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/parts/bottles");
            browser.key('-');
            browser.untilTrue("the bottle to stand again", () -> bottles().contains("fine A"));
            // pressed on, the two that were kept go as well, the last first; then there is nothing to take back
            browser.seeText("pallet oil B");
            browser.key('-');
            browser.untilTrue("the second to go", () -> !bottles().contains("pallet oil B"));
            browser.seeText("Taken back: bottle kept: pallet oil B");
            browser.key('-');
            browser.untilTrue("the first to go", () -> bottles().isEmpty());
            browser.untilTrue(
                    "no key to be left",
                    () -> browser.driver()
                            .findElements(By.cssSelector("[data-key='-']"))
                            .isEmpty());
        }
    }

    /** Said from a second tab meanwhile, or from a page that is old. */
    @Test
    void onlyTheNewestOfThePageGoesBack() {
        visitor.post("/clocks", Map.of("words", "adhesive sets", "minutes", "60"));
        int first = newest();
        visitor.post("/clocks", Map.of("words", "case dries", "minutes", "30"));
        int acts = log().load().acts().recorded().size();
        assertThat(visitor.post("/workshop/back", Map.of("page", "CLOCKS", "act", first))
                        .body())
                .contains("Something else was said since", "Nothing was taken back");
        // an act of another page is none of this one's
        assertThat(visitor.post("/workshop/back", Map.of("page", "YEARS", "act", newest()))
                        .body())
                .contains("Nothing was taken back");
        assertThat(visitor.post("/workshop/back", Map.of("page", "ATTIC", "act", newest()))
                        .statusCode())
                .isEqualTo(422);
        assertThat(log().load().acts().recorded()).hasSize(acts);
        visitor.post("/workshop/back", Map.of("page", "CLOCKS", "act", newest()));
        visitor.post("/workshop/back", Map.of("page", "CLOCKS", "act", first));
        assertThat(log().load().running().running())
                .extracting(r -> r.clock().words())
                .doesNotContain("adhesive sets", "case dries");
    }
}
