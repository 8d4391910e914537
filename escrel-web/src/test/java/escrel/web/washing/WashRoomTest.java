package escrel.web.washing;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Wash;
import escrel.core.cleaning.Basket;
import escrel.core.clock.Clocks;
import escrel.web.storage.Sheets;
import escrel.web.storage.WorkshopLogs;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

/** The wash: baskets ticked off by one key each, a load with its clock, one part alone. */
@Tag("long")
class WashRoomTest {
    private final Path folder = EscrelServer.folder();

    private static BenchHand stripped(EscrelServer server) {
        server.bean(Sheets.class).keep(BenchHand.demoSheet("cv-12"));
        return new BenchHand(server, Stripped.cv12(server, 99));
    }

    @Test
    void loadRunsThroughARestartAndComesOutClean() {
        int job;
        try (EscrelServer server = EscrelServer.on(folder);
                Browser browser = new Browser()) {
            BenchHand hand = stripped(server);
            job = hand.load().number();
            browser.open(server.url() + "/jobs/" + job + "/wash");
            browser.seeText("plates and bridges");
            browser.seeText("shellac holds its stones");
            // pegging first, all of it by one key, and it is asked no more
            browser.see("[data-key='.']");
            browser.key('.');
            browser.untilTrue(
                    "what was done first to be asked no more",
                    () -> browser.driver()
                            .findElements(By.cssSelector("[data-key='.']"))
                            .isEmpty());
            browser.key('+');
            browser.seeText("out, all of it is clean");
            browser.see(".jar .hung");
            browser.seeText("1 load, soil 1 of 12");
            browser.untilTrue(
                    "the title to count down", () -> browser.driver().getTitle().matches("\\d:\\d\\d wash · .*"));
            new Visitor(server.url()).post("/clocks", Map.of("words", "film dries", "minutes", "10"));
            stripped(server).post("/wash/load", Map.of());
        }
        try (EscrelServer server = EscrelServer.on(folder);
                Browser browser = new Browser()) {
            List<Clocks.Running> running =
                    server.bean(WorkshopLogs.class).load().running().running();
            assertThat(running)
                    .extracting(r -> r.clock().words())
                    .containsExactly("film dries", "wash, two rinses, dry", "wash, two rinses, dry");
            assertThat(running).extracting(r -> r.clock().job()).contains(job, job + 1);
            // on every page, and side by side on their own
            browser.open(server.url() + "/jobs/" + job + "/strip");
            browser.seeText("job " + job);
            browser.open(server.url() + "/clocks");
            browser.seeText("3 clocks run");
            BenchHand hand = new BenchHand(server, job);
            int due = hand.load().job().cleaning().due(Wash.MACHINE).size();
            assertThat(due).isPositive();
            browser.open(server.url() + "/jobs/" + job + "/wash");
            browser.key('+');
            browser.untilTrue(
                    "the load to be clean",
                    () -> hand.load().job().cleaning().due(Wash.MACHINE).isEmpty());
            assertThat(server.bean(WorkshopLogs.class).load().running().running())
                    .extracting(r -> r.clock().words())
                    .as("the other watch's load goes on")
                    .containsExactly("film dries", "wash, two rinses, dry");
        }
    }

    @Test
    void basketsAreTickedOffByAKeyEachAndTakenBack() {
        try (EscrelServer server = EscrelServer.empty();
                Browser browser = new Browser()) {
            BenchHand hand = stripped(server);
            String address = server.url() + "/jobs/" + hand.load().number() + "/wash";
            browser.open(address);
            int presses = 0;
            while (!hand.load().job().cleaning().due().isEmpty()) {
                int before = hand.load().job().cleaning().due().size();
                browser.see(".basket [data-key='1']");
                browser.key('1');
                presses++;
                browser.untilTrue(
                        "the basket to be clean",
                        () -> hand.load().job().cleaning().due().size() < before);
                String left = hand.load().job().cleaning().due().size() + " parts to clean";
                if (!hand.load().job().cleaning().due().isEmpty()) {
                    browser.seeText(left);
                }
            }
            browser.seeText("Everything that came off is clean");
            // one key each, and no more of them than there are kinds of basket
            assertThat(presses).isBetween(6, Basket.values().length);
            browser.key('-');
            browser.untilTrue(
                    "the last basket to wait again",
                    () -> !hand.load().job().cleaning().due().isEmpty());
        }
    }

    @Test
    void onePartIsCleanedByItselfOnTrialAndAgain() {
        try (EscrelServer server = EscrelServer.empty();
                Browser browser = new Browser()) {
            BenchHand hand = stripped(server);
            browser.open(server.url() + "/jobs/" + hand.load().number() + "/wash");
            browser.seeText("plates and bridges");
            browser.key('/');
            browser.type("#alone", "Third wheel\n");
            browser.seeText("By itself, on trial or again");
            browser.click("button[value='DIP']");
            browser.untilTrue(
                    "the wheel to be clean",
                    () -> hand.load().job().cleaning().wayOf("third-wheel").isPresent());
            assertThat(hand.load().job().cleaning().wayOf("third-wheel")).hasValue(Wash.DIP);
            // and once more through the machine, after the second look
            hand.post("/wash", Map.of("way", "MACHINE", "part", "third-wheel"));
            assertThat(hand.load().job().cleaning().wayOf("third-wheel")).hasValue(Wash.MACHINE);
            assertThat(hand.post("/wash", Map.of("way", "ULTRASONIC", "part", "pallet-fork"))
                            .body())
                    .contains("should not go that way", "Nothing was recorded");
            assertThat(hand.post("/wash/jar", Map.of("jar", "soup", "strained", "true"))
                            .body())
                    .contains("no jar “soup”");
            assertThat(hand.post("/wash/out", Map.of()).body()).contains("No load of this job is in the machine");
        }
    }

    /** By the school chosen, what is clean and was looked at is treated with epilame by one key, dries, and asks for its pivots going on. */
    @Test
    void filmIsPutOnAndDries() {
        try (EscrelServer server = EscrelServer.empty();
                Browser browser = new Browser()) {
            server.bean(Sheets.class).keep(BenchHand.demoSheet("cv-12"));
            BenchHand hand = new BenchHand(server, Stripped.cleanCv12(server));
            new Visitor(server.url()).post("/settings", Map.of("choice", "FILM_ALL"));
            browser.open(server.url() + "/jobs/" + hand.load().number() + "/wash");
            browser.seeText("Oil-repellent film");
            browser.key('*');
            browser.untilTrue(
                    "the film to be on", () -> hand.load().job().epilame().due().isEmpty());
            assertThat(server.bean(WorkshopLogs.class)
                            .load()
                            .running()
                            .of(hand.load().number()))
                    .extracting(r -> r.clock().words())
                    .containsExactly("epilame dries");
            browser.open(server.url() + "/jobs/" + hand.load().number() + "/climb?line=escape-wheel");
            browser.seeText("its pivots cleaned of the film in pith");
            assertThat(hand.post("/wash/film", Map.of("how", "DROPPED")).body()).contains("Nothing waits for a film");
        }
    }

    @Test
    void programmeIsTheWorkshops() {
        try (EscrelServer server = EscrelServer.empty()) {
            BenchHand hand = stripped(server);
            WorkshopLogs logs = server.bean(WorkshopLogs.class);
            hand.post(
                    "/wash/programme",
                    Map.of("name", "two jars", "lines", "wash; 7,5; one\nrinse; 4; two\ndry; 10", "changeAfter", "6"));
            assertThat(logs.load().jars().programme().jars()).containsExactly("one", "two", "");
            assertThat(logs.load().jars().programme().stretches())
                    .extracting(s -> s.seconds())
                    .containsExactly(450, 240, 600);
            hand.post("/wash/load", Map.of());
            assertThat(logs.load().jars().all()).extracting(j -> j.soil()).containsExactly(1, 1);
            for (Map<String, String> wrong : List.of(
                    Map.of("name", "x", "lines", "wash; long; one", "changeAfter", "6"),
                    Map.of("name", "", "lines", "wash; 5; one", "changeAfter", "6"),
                    Map.of("name", "x", "lines", "", "changeAfter", "6"),
                    Map.of("name", "x", "lines", "wash; 5; one", "changeAfter", "none"))) {
                assertThat(hand.post("/wash/programme", wrong).body()).contains("The programme is as it was");
            }
            assertThat(logs.load().jars().programme().name()).isEqualTo("two jars");
        }
    }

    /** By its door a machine says where it stands, slower or quicker than its programme. */
    @Test
    void machineSaysWhereItStands() {
        try (EscrelServer server = EscrelServer.empty()) {
            BenchHand hand = stripped(server);
            Visitor visitor = new Visitor(server.url());
            hand.post("/wash/load", Map.of());
            WorkshopLogs logs = server.bean(WorkshopLogs.class);
            String id = logs.load().running().running().get(0).clock().id();
            assertThat(visitor.get("/machine/loads.json").body())
                    .contains(id, "\"stretch\":0", "\"jar\":\"second rinse\",\"seconds\":300", "\"over\":false");
            assertThat(visitor.post("/machine/loads/" + id, Map.of("stretch", "2"))
                            .statusCode())
                    .isEqualTo(204);
            assertThat(visitor.get("/machine/loads.json").body()).contains("\"stretch\":2");
            visitor.post(
                    "/simulated/machine/" + id,
                    Map.of("job", String.valueOf(hand.load().number())));
            assertThat(visitor.get("/machine/loads.json").body()).contains("\"stretch\":3", "\"over\":false");
            visitor.post("/machine/loads/" + id, Map.of("stretch", "4"));
            assertThat(visitor.get("/machine/loads.json").body()).contains("\"over\":true");
            assertThat(visitor.post("/machine/loads/" + id, Map.of("stretch", "5"))
                            .statusCode())
                    .isEqualTo(422);
            assertThat(visitor.post("/machine/loads/nobody", Map.of("stretch", "1"))
                            .statusCode())
                    .isEqualTo(422);
            // it is over, and what is clean a person says
            assertThat(hand.load().job().cleaning().due(Wash.MACHINE)).isNotEmpty();
        }
    }
}
