package escrel.web.watches;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.job.EarlierServices;
import escrel.web.job.OwnersData;
import escrel.web.job.Workshop;
import escrel.web.storage.WorkshopLogs;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Watches and owners found by some letters, their spellings merged, a watch's readings over the years. */
class WatchesPageTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());

    private int opened(String watch, String owner) {
        String path = visitor.post("/jobs", Map.of("watch", watch, "owner", owner, "stance", "SYMPATHETIC"))
                .uri()
                .getPath();
        return Integer.parseInt(path.replaceAll("\\D", ""));
    }

    @Test
    void watchIsFoundByThreeLettersAndItsYearsAreDrawn() {
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/watches");
            browser.key('/');
            browser.type("#wanted", "pur");
            browser.enter();
            browser.seeText("Purser, ferry Auk");
            browser.seeNoText("Harbour-master, Stennay");
            // others take in what they gave out: the watch may have come more often by then
            assertThat(browser.text())
                    .containsPattern("Purser, ferry Auk\\s+Tidewell purser's automatic\\s+here [2-9] times");
            browser.click("a[href*='owner=Purser,%20ferry%20Auk']");
            browser.seeText("mean amplitude");
            assertThat(browser.see("h1").getText()).isEqualTo("Tidewell purser's automatic");
            // two services: as it came and as it left in 2021, as it came now
            assertThat(browser.driver()
                            .findElements(org.openqa.selenium.By.cssSelector(".years"))
                            .size())
                    .isGreaterThanOrEqualTo(2);
            assertThat(browser.text()).contains("job 11", "job 2", "2023");
        }
    }

    @Test
    void twoSpellingsBecomeOneWatchAndPartAgain() {
        int first = opened("Skerry dial watch", "Pilot, Skerry");
        int second = opened("Skerry dial wach", "Pilot, Skery");
        Map<String, String> merge = Map.of(
                "watch", "Skerry dial watch",
                "owner", "Pilot, Skerry",
                "otherWatch", "Skerry dial wach",
                "otherOwner", "Pilot, Skery");

        String page = visitor.post("/watches/merge", merge).body();

        assertThat(page).contains("job " + first, "job " + second, "Skerry dial wach, Pilot, Skery");
        Workshop workshop = server.bean(Workshop.class);
        EarlierServices earlier = server.bean(EarlierServices.class);
        assertThat(earlier.of(workshop.load(second))).containsExactly(first);
        assertThat(visitor.post("/watches/merge", merge).body()).contains("Two names of a watch differ");
        assertThat(visitor.post(
                                "/watches/merge",
                                Map.of("watch", "a", "owner", "b", "otherWatch", "c", "otherOwner", "d"))
                        .body())
                .contains("No job knows a watch called so");
        int act = server.bean(WorkshopLogs.class)
                .load()
                .acts()
                .counting()
                .get(server.bean(WorkshopLogs.class).load().acts().counting().size() - 1)
                .sequence();
        visitor.post("/workshop/back", Map.of("page", "WATCHES", "act", act));
        assertThat(earlier.of(workshop.load(second))).isEmpty();
    }

    /** Whoever is erased is erased under every spelling, and in what was said of the spellings. */
    @Test
    void ownerIsErasedUnderEverySpelling() {
        int first = opened("Erased watch", "Widow Hallan");
        int second = opened("Erased watch", "Widow Halan");
        visitor.post("/watches/merge-owners", Map.of("from", "Widow Halan", "into", "Widow Hallan"));
        assertThat(visitor.get("/jobs/" + first + "/owner.json").body())
                .contains("\"number\" : " + first, "\"number\" : " + second);

        visitor.post(
                "/jobs/" + first + "/owner/erase", Map.of("seq", visitor.sequence(first), "owner", "Widow Hallan"));

        Workshop workshop = server.bean(Workshop.class);
        assertThat(List.of(first, second))
                .allSatisfy(n -> assertThat(workshop.load(n).arrival().owner()).isEqualTo(OwnersData.ERASED));
        assertThat(visitor.get("/watches?q=halan").body()).doesNotContain("Widow");
        assertThat(visitor.get("/watches?q=erased").body()).doesNotContain("Widow Hal");
        assertThat(server.bean(WorkshopLogs.class).load().acts().recorded())
                .noneMatch(e -> e.step().toString().contains("Widow"));
        assertThat(visitor.post("/watches/merge-owners", Map.of("from", "nobody", "into", "Widow Hallan"))
                        .body())
                .contains("No job knows an owner called so");
    }
}
