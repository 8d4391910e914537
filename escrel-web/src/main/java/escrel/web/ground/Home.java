package escrel.web.ground;

import escrel.web.disk.Disk;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * The folder of a workshop and where things lie in it.
 *
 * @param folder everything is below it
 */
public record Home(Path folder) {
    /** Name of the database for H2, without its ending. */
    static final String DATABASE = "escrel";
    /** A database that is being made and not yet in its place. */
    static final String NEXT = "escrel-next";

    static final String ENDING = ".mv.db";

    /** The database. */
    public Path database() {
        return folder.resolve(DATABASE + ENDING);
    }

    Path next() {
        return folder.resolve(NEXT + ENDING);
    }

    /** Media, by their content. */
    public Path media() {
        return folder.resolve("media");
    }

    /** The journal and the bases it starts from. */
    public Path journal() {
        return folder.resolve("journal");
    }

    /** What was put aside, never deleted by us: databases before a migration, damaged ones, what was there before a restore. */
    public Path aside() {
        return folder.resolve("set-aside");
    }

    /** Where backups go unless told otherwise. */
    public Path backups() {
        return folder.resolve("backups");
    }

    Path lock() {
        return folder.resolve("lock");
    }

    Path clean() {
        return journal().resolve("closed-well");
    }

    /** Makes the folder and what lies in it, or says plainly why that cannot be. */
    void make() {
        try {
            if (Files.exists(folder) && !Files.isDirectory(folder)) {
                throw new GroundException(
                        folder + " is a file, not a folder", "Nothing was changed.", "Name a folder in ESCREL_HOME.");
            }
            for (Path each : new Path[] {folder, media(), journal(), aside()}) {
                Disk.makeFolder(each);
            }
            Path trial = folder.resolve("trial");
            Files.writeString(trial, "may be written");
            Files.delete(trial);
        } catch (IOException e) {
            throw new GroundException(
                    "The folder " + folder + " cannot be written: " + Disk.words(e),
                    "Nothing was changed.",
                    "See who owns the folder and whether there is room on the disk, or name another one in ESCREL_HOME.");
        }
    }
}
