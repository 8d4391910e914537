package escrel.web.cli;

import escrel.web.disk.Disk;
import escrel.web.ground.Backup;
import escrel.web.ground.Check;
import escrel.web.ground.GroundException;
import escrel.web.ground.Home;
import escrel.web.ground.Manifest;
import escrel.web.ground.Restore;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Locale;

/** {@code ./escrel backup [FILE]}, {@code restore [FILE]} and {@code check [FOLDER]}; exit status 2 when refused. */
public final class FolderCommand {
    private static final int REFUSED = 2;

    private FolderCommand() {}

    /**
     * Runs one of them and ends with its status.
     *
     * @param args which, the workshop's folder, and what was named
     */
    public static void main(String[] args) {
        Locale.setDefault(Locale.ENGLISH);
        System.exit(run(args, new PrintStream(System.out, true, StandardCharsets.UTF_8)));
    }

    static int run(String[] args, PrintStream out) {
        Home home = new Home(Path.of(args[1]).toAbsolutePath());
        try {
            return switch (args[0]) {
                case "backup" -> backup(home, args.length > 2 ? Path.of(args[2]).toAbsolutePath() : null, out);
                case "restore" ->
                    restore(home, args.length > 2 ? Path.of(args[2]).toAbsolutePath() : null, out);
                default -> check(args.length > 2 ? new Home(Path.of(args[2]).toAbsolutePath()) : home, out);
            };
        } catch (GroundException e) {
            out.println(e.getMessage());
        } catch (IOException e) {
            out.println("It could not be done: " + Disk.words(e) + ".\nNothing was changed.");
        } catch (SQLException e) {
            out.println("The database could not be read: " + Disk.firstLine(e) + ".\nNothing was changed.");
        }
        return REFUSED;
    }

    private static int backup(Home home, @org.jspecify.annotations.Nullable Path named, PrintStream out)
            throws IOException, SQLException {
        Path file = named == null
                ? home.backups().resolve(Backup.nameAt(Instant.now()))
                : Files.isDirectory(named) ? named.resolve(Backup.nameAt(Instant.now())) : named;
        Backup.Made made = Backup.whole(home, file);
        out.printf(
                "%d jobs with %d steps and %d files of photos, recordings and documents are in %s (%d KB)%n",
                made.jobs(), made.steps(), made.media(), made.file(), made.bytes() >> 10);
        return 0;
    }

    private static int restore(Home home, @org.jspecify.annotations.Nullable Path file, PrintStream out)
            throws IOException, SQLException {
        if (file == null) {
            List<Path> all = Backup.all(home.backups());
            out.println(all.isEmpty() ? "There are no backups in " + home.backups() : "Backups, the oldest first:");
            all.forEach(out::println);
            return all.isEmpty() ? REFUSED : 0;
        }
        Manifest manifest = Restore.from(file, home);
        out.printf(
                "%s holds %d jobs with %d steps again, as of %s. What was there before lies in %s%n",
                home.folder(), manifest.jobs(), manifest.steps(), manifest.madeAt(), home.aside());
        return 0;
    }

    private static int check(Home home, PrintStream out) throws IOException {
        Check.Found found = Check.of(home);
        found.lines().forEach(line -> out.println("  " + line));
        found.faults().forEach(fault -> out.println("! " + fault));
        out.println(found.faults().isEmpty() ? "All is well." : found.faults().size() + " faults.");
        return found.faults().isEmpty() ? 0 : 1;
    }
}
