package escrel.web;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.web.demo.PlanPicture;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import escrel.web.upkeep.Backups;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * Takes the pictures of docs/screenshots from the demo data. Not part of the tests (its name does not end in Test); run
 * with {@code mvn -pl escrel-web -am test -Dtest=Screenshots -Dsurefire.failIfNoSpecifiedTests=false}.
 */
class Screenshots {
    private static final Path FOLDER = Path.of("..", "docs", "screenshots");

    @Test
    void takeThemAll() throws IOException {
        try (Browser browser = new Browser()) {
            EscrelServer server = EscrelServer.demo();
            Path stick = Files.createTempDirectory("escrel-backups-");
            server.bean(Backups.class).plan(24, 14, stick.toString());
            server.bean(Backups.class).make();
            take(server, browser, "/", "today");
            take(server, browser, "/parts", "parts");
            take(server, browser, "/safe", "safe");
            take(server, browser, "/jobs/" + seenFromOutside(server) + "/outside?piece=HANDS", "arrival");
            take(server, browser, "/jobs/5/readings", "readings");
            take(server, browser, "/jobs/4/turn", "turn");
            take(server, browser, "/jobs/5/climb", "climb");
            take(server, browser, "/jobs/7/inspect?part=fourth-wheel", "inspect");
            take(server, browser, "/jobs/5/handover", "handover");
            take(server, browser, "/calibres/l-43", "calibre");
            take(server, browser, "/jobs/3/strip", "strip");
            take(server, browser, "/jobs/3/tray", "tray");
            take(server, browser, "/jobs/7/oil", "oil");
            int unknown = pinned(server);
            take(server, browser, "/jobs/" + unknown + "/strip?side=TRAIN", "photo-plan");
            take(server, browser, "/jobs/" + unknown + "/learnt", "learnt");
            take(server, browser, "/jobs/3/findings", "decide");
            desk(server, browser, "HEALTHY", "desk");
            browser.driver().executeScript("document.cookie = 'theme=lamp; path=/'");
            take(server, browser, "/cases/skarholt-d-77?part=retaining-ring", "case");
            browser.driver().executeScript("document.cookie = 'theme=paper; path=/'");
            BenchHand washing = new BenchHand(server, Stripped.cv12(server, 99));
            washing.post("/wash/load", Map.of());
            take(server, browser, "/jobs/" + washing.load().number() + "/wash", "wash");
        }
    }

    /** A watch like the demo's job 8, most of its outside looked at. */
    private static int seenFromOutside(EscrelServer server) {
        int job = new Visitor(server.url()).openJob("Skarholt quay watch", "");
        BenchHand hand = new BenchHand(server, job);
        hand.post("/parcel", Map.of("item", "STRAP", "words", "a tobacco tin"));
        for (String piece : List.of("BEZEL", "CASE", "BACK", "DIAL")) {
            hand.post("/outside", Map.of("piece", piece, "grade", "GOOD"));
        }
        hand.post("/outside", Map.of("piece", "LUGS", "grade", "WORN"));
        hand.post("/outside", Map.of("piece", "CROWN", "grade", "MEND", "defect", "WORN"));
        hand.post("/outside", Map.of("piece", "CRYSTAL", "grade", "BROKEN", "defect", "CRACKED"));
        hand.post("/outside", Map.of("piece", "PUSHERS"));
        return job;
    }

    /** An alarm of an unknown calibre, some parts named, pinned and off. */
    private static int pinned(EscrelServer server) {
        CalibreSheet truth = BenchHand.demoSheet("m-7h");
        int job = new Visitor(server.url()).openJob("Merrowdale alarm", "");
        BenchHand hand = new BenchHand(server, job);
        hand.upload("/plate/photo", Map.of("side", "TRAIN"), PlanPicture.of(truth, Side.TRAIN, c -> c.equals("stem")));
        hand.post(
                "/plate",
                Map.of(
                        "photo", 1,
                        "side", "TRAIN",
                        "centreX", PlanPicture.CENTRE,
                        "centreY", PlanPicture.CENTRE,
                        "radius", PlanPicture.RADIUS));
        double radius = truth.data().diameterMillimetres() / 2;
        for (String code :
                List.of("case-back", "balance-cock", "power-down", "ratchet-wheel", "alarm-ratchet", "crown-wheel")) {
            Part part = truth.requirePart(code);
            String working = hand.name(part.name(), part.group(), Side.TRAIN);
            if (part.shape() != null) {
                double[] at = part.shape().middle();
                hand.pin(working, Side.TRAIN, -at[0] / radius, -at[1] / radius);
            }
            if (!code.equals("crown-wheel")) {
                hand.off(working);
            }
        }
        return job;
    }

    /** The desk with a simulated watch, two positions taken and the third being listened to. */
    private static void desk(EscrelServer server, Browser browser, String watch, String name) throws IOException {
        browser.open(server.url() + "/jobs/2/desk?state=FINAL_CASED&source=simulated:" + watch);
        browser.choose("#desk-pace", "8");
        browser.key('0');
        for (int taken = 1; taken <= 2; taken++) {
            browser.seeText("Lay the watch as drawn");
            browser.key('0');
            browser.see("li.taken:nth-child(" + taken + ")");
        }
        browser.seeText("Lay the watch as drawn");
        browser.key('0');
        // the ribbon of the position before stays until there is another: this one is heard when it says how long
        browser.seeText("listening:");
        browser.see("#desk-strip .ribbon");
        browser.picture(FOLDER.resolve(name + ".png"));
        browser.key('.');
    }

    private static void take(EscrelServer server, Browser browser, String path, String name) throws IOException {
        browser.open(server.url() + path);
        browser.see("footer.keys");
        browser.picture(FOLDER.resolve(name + ".png"));
    }
}
