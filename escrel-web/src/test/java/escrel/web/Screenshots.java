package escrel.web;

import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import java.io.IOException;
import java.nio.file.Path;
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
            int job = Stripped.cv12(server, 14);
            take(server, browser, "/jobs/" + job + "/strip", "strip");
            browser.driver().executeScript("document.cookie = 'theme=lamp; path=/'");
            take(server, browser, "/jobs/" + job + "/strip", "strip-lamp");
            take(server, browser, "/jobs/1/turn", "turn-lamp");
            browser.driver().executeScript("document.cookie = 'theme=paper; path=/'");
            take(server, browser, "/jobs/" + Stripped.cv12(server, 99) + "/wash", "wash");
        }
    }

    private static void take(EscrelServer server, Browser browser, String path, String name) throws IOException {
        browser.open(server.url() + path);
        browser.see("footer.keys");
        browser.picture(FOLDER.resolve(name + ".png"));
    }
}
