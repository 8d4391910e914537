package escrel.web.upkeep;

import escrel.core.MendableException;
import escrel.web.disk.Disk;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * How this workshop wants its backups.
 *
 * @param hours between two of them, 0 for none by itself; at most a month
 * @param keep how many of the newest stay, 1 to 400
 * @param folder where they go
 */
public record BackupPlan(int hours, int keep, Path folder) {
    static final int EVERY_DAY = 24;
    static final int TWO_WEEKS = 14;
    private static final int MOST_HOURS = 31 * 24;
    private static final int MOST_KEPT = 400;
    private static final int LONGEST_FOLDER = 400;

    /** A plan as typed, or a refusal that says what cannot be. */
    static BackupPlan of(int hours, int keep, String folder) {
        if (hours < 0 || hours > MOST_HOURS || keep < 1 || keep > MOST_KEPT) {
            throw refused("Backups are made every 1 to %d hours (0 for none), and 1 to %d are kept"
                    .formatted(MOST_HOURS, MOST_KEPT));
        }
        Path path;
        try {
            path = Path.of(folder.strip());
        } catch (java.nio.file.InvalidPathException e) {
            throw refused("“" + folder + "” is no folder");
        }
        if (!path.isAbsolute() || folder.length() > LONGEST_FOLDER) {
            throw refused("The folder is named from the root on, as /media/stick/escrel, in at most " + LONGEST_FOLDER
                    + " characters");
        }
        try {
            Files.createDirectories(path);
            Path trial = path.resolve(".escrel-trial");
            Files.writeString(trial, "may be written");
            Files.delete(trial);
        } catch (IOException e) {
            throw refused("The folder " + path + " cannot be written: " + Disk.words(e));
        }
        return new BackupPlan(hours, keep, path);
    }

    private static MendableException refused(String what) {
        return new MendableException(what, "Backups go on as before.", "Correct it and send it again.");
    }
}
