package escrel.web.climb;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Group;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.learning.PartNamed;
import escrel.core.lubrication.BottleKept;
import escrel.core.lubrication.OilSkipped;
import escrel.core.lubrication.Oiled;
import escrel.web.job.Workshop;
import escrel.web.storage.Sheets;
import escrel.web.storage.WorkshopLogs;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The oiling chart, class by class; bottles; doses on the exit stone. */
class OilRoomTest {
    private static EscrelServer server;
    private BenchHand hand;

    @BeforeAll
    static void start() {
        server = EscrelServer.empty();
        server.bean(Sheets.class).keep(BenchHand.demoSheet("cv-12"));
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    @BeforeEach
    void strip() {
        hand = new BenchHand(server, Stripped.cv12(server, 99));
    }

    private String address() {
        return server.url() + "/jobs/" + hand.load().number();
    }

    private OilPoint firstFree() {
        return hand.load().job().wayUp().freeNow().stream()
                .flatMap(l -> hand.load().movement().oilPoint(l.code()).stream())
                .findFirst()
                .orElseThrow();
    }

    private List<OilPoint> open(LubricantClass lubricant) {
        return hand.load().job().lubrication().open().stream()
                .filter(p -> p.lubricant() == lubricant)
                .toList();
    }

    @Test
    void oneOilerIsUsedAfterAnotherByOneKeyAPoint() {
        LubricantClass of = firstFree().lubricant();
        server.bean(WorkshopLogs.class)
                .append(new BottleKept("t-one", of, "bottle A", "7", null, LocalDate.of(2020, 1, 1)));
        try (Browser browser = new Browser()) {
            browser.open(address() + "/oil?of=" + of);
            browser.seeText("past its day");
            int before = open(of).size();
            browser.see("button[data-key='5']");
            browser.key('5');
            browser.untilTrue("a point to be done", () -> open(of).size() == before - 1);
            Oiled oiled = hand.load().history().last(Oiled.class).orElseThrow();
            assertThat(oiled.lubricant()).isEqualTo(of);
            assertThat(oiled.bottle()).isEqualTo("bottle A, batch 7");
            // the page stays with the class
            assertThat(browser.driver().getCurrentUrl()).contains("of=" + of);
            browser.see(".oil-mark.os-done");
            browser.key('*');
            browser.untilTrue(
                    "the next class to be shown",
                    () -> !browser.driver().getCurrentUrl().contains("of=" + of));
        }
    }

    @Test
    void whatIsLeftOutOrDoneOtherwiseIsSaid() {
        OilPoint first = firstFree();
        int before = hand.load().sequence();
        assertThat(hand.post("/oil/skip", Map.of("point", first.code())).body())
                .contains("Passing something over needs a reason");
        assertThat(hand.load().sequence()).isEqualTo(before);
        hand.post("/oil", Map.of("point", first.code(), "lubricant", "MAINSPRING_GREASE", "words", "trial"));
        assertThat(hand.load().history().last(Oiled.class).orElseThrow().lubricant())
                .isEqualTo(LubricantClass.MAINSPRING_GREASE);
        assertThat(new Visitor(server.url())
                        .get("/jobs/" + hand.load().number() + "/oil")
                        .body())
                .contains("mainspring grease instead of");
        OilPoint later = hand.load().job().wayUp().lines().stream()
                .filter(l -> hand.load().job().wayUp().freeNow().stream()
                        .noneMatch(f -> f.code().equals(l.code())))
                .flatMap(l -> hand.load().movement().oilPoint(l.code()).stream())
                .findFirst()
                .orElseThrow();
        assertThat(hand.post("/oil", Map.of("point", later.code())).body()).contains("cannot be reached yet");
        hand.post("/oil/skip", Map.of("point", later.code(), "words", "new, comes greased"));
        assertThat(hand.load().history().last(OilSkipped.class).orElseThrow().reason())
                .isEqualTo("new, comes greased");
        assertThat(new Visitor(server.url())
                        .get("/jobs/" + hand.load().number() + "/oil")
                        .body())
                .contains("left out: new, comes greased");
    }

    /** M13: 15 teeth take 3 doses. */
    @Test
    void dosesAreCountedOffOnTheEscapeWheel() {
        OilPoint fork = hand.load().movement().oilPoints().stream()
                .filter(p -> p.part().equals("pallet-fork"))
                .findFirst()
                .orElseThrow();
        try (Browser browser = new Browser()) {
            browser.open(address() + "/climb?line=" + fork.code());
            browser.seeText("15 teeth: 3 doses, walking 5 teeth between");
            browser.key('1');
            browser.seeText("1 of 3 given: walk it on");
            browser.key('1');
            browser.key('1');
            browser.seeText("3 of 3: all 15 teeth have had theirs");
        }
    }

    @Test
    void bottlesAreKeptTakenIntoUseAndGone() {
        Visitor visitor = new Visitor(server.url());
        WorkshopLogs logs = server.bean(WorkshopLogs.class);
        visitor.post("/parts/bottles", Map.of("lubricant", "MEDIUM_OIL", "name", "medium B", "batch", "1"));
        visitor.post("/parts/bottles", Map.of("lubricant", "MEDIUM_OIL", "name", "medium C", "useBy", "2031-01-01"));
        assertThat(logs.load()
                        .bottles()
                        .inUse(LubricantClass.MEDIUM_OIL)
                        .orElseThrow()
                        .name())
                .isEqualTo("medium C");
        String first = logs.load().bottles().all().stream()
                .filter(b -> b.name().equals("medium B"))
                .findFirst()
                .orElseThrow()
                .id();
        visitor.post("/parts/bottles/" + first + "/use", Map.of());
        assertThat(logs.load()
                        .bottles()
                        .inUse(LubricantClass.MEDIUM_OIL)
                        .orElseThrow()
                        .id())
                .isEqualTo(first);
        visitor.post("/parts/bottles/" + first + "/gone", Map.of());
        assertThat(visitor.post("/parts/bottles/" + first + "/gone", Map.of()).body())
                .contains("There is no such bottle any more");
        assertThat(visitor.post("/parts/bottles", Map.of("lubricant", "DRY", "name", "x"))
                        .body())
                .contains("comes from no bottle");
        assertThat(visitor.post(
                                "/parts/bottles",
                                Map.of(
                                        "lubricant",
                                        "PALLET",
                                        "name",
                                        "x",
                                        "opened",
                                        "2026-02-01",
                                        "useBy",
                                        "2026-01-01"))
                        .body())
                .contains("before it was opened");
    }

    /** A movement nobody has a sheet of gets a chart from what its parts are called. */
    @Test
    void chartIsDraftedWhereThereIsNone() {
        Visitor visitor = new Visitor(server.url());
        BenchHand unknown = new BenchHand(server, visitor.openJob("Merrowdale alarm", ""));
        server.bean(Workshop.class)
                .append(
                        unknown.load().number(),
                        unknown.load().sequence(),
                        List.of(
                                new PartNamed("click", "Click", Group.BARREL, Side.TRAIN, null, List.of(), null),
                                new PartNamed(
                                        "fork",
                                        "Pallet fork",
                                        Group.BALANCE_AND_ESCAPEMENT,
                                        Side.TRAIN,
                                        Role.PALLET_FORK,
                                        List.of(),
                                        null),
                                new PartNamed(
                                        "pinion", "Winding pinion", Group.KEYLESS, Side.DIAL, null, List.of(), null)));
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + unknown.load().number() + "/oil");
            browser.seeText("A draft: 3 points");
            browser.seeText("it rides over every ratchet tooth");
            browser.click("input[name='take'][value='0']");
            browser.key('5');
            browser.untilTrue(
                    "two of them to stand on the chart",
                    () -> unknown.load().movement().oilPoints().size() == 2);
            browser.seeText("Not on the chart, and perhaps wanted: 1");
        }
        assertThat(unknown.load().movement().oilPoints())
                .extracting(OilPoint::lubricant)
                .doesNotContain(LubricantClass.DRY);
        assertThat(unknown.post("/oil/draft", Map.of("take", "77")).body()).contains("The draft has changed since");
        assertThat(unknown.post("/oil/draft", Map.of()).body()).contains("No point was ticked");
    }
}
