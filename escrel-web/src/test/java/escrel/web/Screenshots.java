package escrel.web;

import escrel.core.calibre.Part;
import escrel.core.teardown.Schools;
import escrel.core.teardown.TeardownOrder;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.nio.file.Path;
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
            take(server, browser, "/", "today");
            take(server, browser, "/jobs/1/arrival", "arrival");
            take(server, browser, "/jobs/5/readings", "readings");
            take(server, browser, "/jobs/1/turn", "turn");
            take(server, browser, "/jobs/5/climb", "climb");
            take(server, browser, "/jobs/5/inspect", "inspect");
            take(server, browser, "/jobs/5/handover", "handover");
            take(server, browser, "/jobs/1/report", "report");
            take(server, browser, "/calibres/l-43", "calibre");
            int job = stripped(server, 14);
            take(server, browser, "/jobs/" + job + "/strip", "strip");
            browser.driver().executeScript("document.cookie = 'theme=lamp; path=/'");
            take(server, browser, "/jobs/" + job + "/strip", "strip-lamp");
            take(server, browser, "/jobs/1/turn", "turn-lamp");
            browser.driver().executeScript("document.cookie = 'theme=paper; path=/'");
            take(server, browser, "/jobs/" + stripped(server, 99) + "/wash", "wash");
        }
    }

    /** A CV-12 with so many parts off, as proposed. */
    private static int stripped(EscrelServer server, int parts) {
        Visitor visitor = new Visitor(server.url());
        int job = visitor.openJob("Tidewell service watch", "cv-12");
        for (int i = 0; i < parts; i++) {
            var open = server.bean(Workshop.class).load(job);
            var next =
                    TeardownOrder.from(open.teardown(), Schools.DEFAULT).next().map(Part::code);
            if (next.isEmpty()) {
                return job;
            }
            visitor.post(
                    "/jobs/" + job + "/strip/off",
                    Map.of("part", next.get(), "seq", open.sequence(), "answered", "true"));
        }
        return job;
    }

    private static void take(EscrelServer server, Browser browser, String path, String name) throws IOException {
        browser.open(server.url() + path);
        browser.see("footer.keys");
        browser.picture(FOLDER.resolve(name + ".png"));
    }
}
