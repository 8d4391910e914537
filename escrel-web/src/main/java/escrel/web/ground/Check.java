package escrel.web.ground;

import escrel.web.disk.Disk;
import escrel.web.media.MediaStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Proves a workshop's folder: that the database can be made anew from base and journal, that the one in use says the same,
 * and that every medium is there and is what its name says. It may run while Escrel does; then the database in use is left
 * alone.
 */
public final class Check {
    private Check() {}

    /**
     * What was found.
     *
     * @param lines what is well, in words
     * @param faults what is not; empty when all is
     */
    public record Found(List<String> lines, List<String> faults) {}

    /** Looks through a folder. Nothing in it is changed. */
    public static Found of(Home home) throws IOException {
        List<String> lines = new ArrayList<>();
        List<String> faults = new ArrayList<>();
        Path work = Files.createTempDirectory("escrel-check-");
        try {
            Path rebuilt = work.resolve(Backup.DATABASE);
            boolean based = !Base.newestFirst(home.journal()).isEmpty();
            if (based || !Files.exists(home.database())) {
                Backup.rebuild(home, rebuilt);
            } else {
                // just restored, and not started since
                Files.copy(home.database(), rebuilt);
            }
            Map<String, String> sums;
            Backup.Contents contents;
            try (Database database = Database.open(rebuilt)) {
                sums = database.sums();
                contents = Backup.Contents.of(database);
                database.gaps().forEach(g -> faults.add("steps are missing: " + g));
            }
            lines.add("%s: %d jobs, %d steps, up to entry %d"
                    .formatted(
                            based ? "base and journal" : "database",
                            contents.jobs(),
                            contents.steps(),
                            contents.position()));
            database(home, work, sums, lines, faults);
            media(home, contents, lines, faults);
        } catch (SQLException e) {
            faults.add("base and journal cannot be read: " + Disk.firstLine(e));
        } finally {
            Disk.deleteAll(work);
        }
        return new Found(List.copyOf(lines), List.copyOf(faults));
    }

    private static void database(
            Home home, Path work, Map<String, String> rebuilt, List<String> lines, List<String> faults)
            throws IOException {
        if (!Files.exists(home.clean())) {
            lines.add("database: in use, or not closed well; it is judged by its journal");
            return;
        }
        // a copy, so that opening it leaves no trace
        Path copy = work.resolve("copy" + Home.ENDING);
        Files.copy(home.database(), copy);
        try (Database database = Database.open(copy)) {
            Map<String, String> own = database.sums();
            if (own.equals(rebuilt)) {
                lines.add("database: says the same, table by table");
            } else {
                Set<String> unlike = new HashSet<>(own.keySet());
                unlike.removeIf(t -> String.valueOf(own.get(t)).equals(rebuilt.get(t)));
                faults.add("the database says something else than base and journal in " + unlike);
            }
        } catch (SQLException e) {
            faults.add("the database is damaged; the next start makes it anew from base and journal");
        }
    }

    private static void media(Home home, Backup.Contents contents, List<String> lines, List<String> faults) {
        MediaStore media = new MediaStore(home.media());
        int whole = 0;
        for (String name : contents.media()) {
            if (!media.has(name)) {
                faults.add("missing: " + media.path(name));
            } else if (!media.isWhole(name)) {
                faults.add("damaged: " + media.path(name));
            } else {
                whole++;
            }
        }
        Set<String> needless = new HashSet<>(media.names());
        needless.removeAll(contents.media());
        lines.add("media: %d of %d there and whole; %d that nothing names any more"
                .formatted(whole, contents.media().size(), needless.size()));
    }
}
