package escrel.web.safe;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.ground.Backup;
import escrel.web.ground.Check;
import escrel.web.ground.Home;
import escrel.web.ground.Restore;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import escrel.web.upkeep.Backups;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** A backup by one key, told on the first page, and gone back to. */
class SafeBrowserTest {
    private final Path home = EscrelServer.folder();
    private final EscrelServer server = EscrelServer.on(home);

    @AfterEach
    void stop() {
        server.close();
    }

    @Test
    void oneKeyBacksUpTheFirstPageSaysSoAndItIsGoneBackTo() throws Exception {
        int job = new Visitor(server.url()).openJob("Kept watch", "");
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/");
            browser.seeText("no backup yet");
            browser.open(server.url() + "/safe");
            browser.seeText("everything would be lost");
            browser.key('5');
            browser.seeText("Backed up and read back: 1 jobs");
            browser.seeText("on the same disk");
            browser.open(server.url() + "/");
            browser.seeText("✓ backed up");
        }
        new Visitor(server.url()).openJob("Too late", "");
        Path backup = Backup.newest(new Home(home).backups()).orElseThrow();
        server.close();

        Restore.from(backup, new Home(home));
        assertThat(Check.of(new Home(home)).faults())
                .as("checked before it was ever started")
                .isEmpty();
        try (EscrelServer again = EscrelServer.on(home)) {
            assertThat(again.bean(Workshop.class).load(job).arrival().watch()).isEqualTo("Kept watch");
            assertThat(new Visitor(again.url()).get("/jobs.json").body()).doesNotContain("Too late");
        }
    }

    @Test
    void planGoesByWhatWasTypedAndRefusesWhatCannotBe() throws Exception {
        Visitor visitor = new Visitor(server.url());
        Path away = Files.createDirectory(home.resolve("away"));
        visitor.post("/safe/plan", Map.of("hours", 6, "keep", 2, "folder", away));
        Backups backups = server.bean(Backups.class);
        assertThat(backups.isDue()).isTrue();
        for (int i = 0; i < 4; i++) {
            backups.make();
            // names are by the second
            Path newest = Backup.newest(away).orElseThrow();
            Files.move(newest, away.resolve("escrel-2020010" + (i + 1) + "-000000.zip"));
        }
        backups.make();
        assertThat(Backup.all(away)).hasSize(2);
        assertThat(backups.isDue()).isFalse();

        HttpResponse<String> refused = visitor.post("/safe/plan", Map.of("hours", -1, "keep", 2, "folder", away));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Backups go on as before");
        assertThat(visitor.post("/safe/plan", Map.of("hours", 1, "keep", 2, "folder", "relative/to/what"))
                        .statusCode())
                .isEqualTo(422);
        Path file = Files.writeString(home.resolve("a-file"), "x");
        assertThat(visitor.post("/safe/plan", Map.of("hours", 1, "keep", 2, "folder", file))
                        .body())
                .contains("cannot be written");
        assertThat(backups.plan().folder()).isEqualTo(away);
    }

    @Test
    void attemptThatFailsStandsOnTheFirstPageUntilOneSucceeds() throws Exception {
        Visitor visitor = new Visitor(server.url());
        Path away = Files.createDirectory(home.resolve("stick"));
        visitor.post("/safe/plan", Map.of("hours", 6, "keep", 2, "folder", away));
        // the stick was pulled out, and something else lies in its place
        Files.delete(away);
        Files.writeString(away, "not a folder");

        assertThat(visitor.post("/safe/now", Map.of()).statusCode()).isEqualTo(422);
        assertThat(visitor.get("/").body()).contains("the last backup failed");
        Files.delete(away);
        visitor.post("/safe/now", Map.of());
        assertThat(visitor.get("/").body()).contains("✓ backed up").doesNotContain("failed");
    }

    /** What was read of it once is not told again of a file that is another by now. */
    @Test
    void backupThatWasCutOffSinceIsNotToldOfAnyMore() throws Exception {
        Visitor visitor = new Visitor(server.url());
        Backups backups = server.bean(Backups.class);
        backups.make();
        assertThat(visitor.get("/").body()).contains("✓ backed up");
        Path newest = Backup.newest(backups.plan().folder()).orElseThrow();
        byte[] whole = Files.readAllBytes(newest);

        Files.write(newest, Arrays.copyOf(whole, whole.length / 2));
        assertThat(visitor.get("/").body()).contains("no backup yet");
        Files.write(newest, whole);
        assertThat(visitor.get("/").body()).contains("✓ backed up");
        Files.delete(newest);
        assertThat(visitor.get("/").body()).contains("no backup yet");
    }
}
