package escrel.web.ground;

import escrel.web.disk.Disk;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Opens a workshop's folder: goes on with an interrupted restore, makes the first database, migrates, brings the database
 * up to what the journal says, makes it anew from the base when it is damaged or gone, or says plainly why it cannot.
 */
public final class Opening {
    /** What a workshop is for. The demo never fills a real one, however empty that is. */
    public enum Kind {
        REAL,
        DEMO
    }

    private final Home home;
    private final Kind kind;
    private final Migrations migrations;
    private final List<String> told = new ArrayList<>();

    private Opening(Home home, Kind kind) {
        this.home = home;
        this.kind = kind;
        this.migrations = new Migrations(home);
    }

    /**
     * Opens a folder; it is locked for others until the {@link Ground} is closed.
     *
     * @param kind what a folder that is begun is for
     * @param reserveBytes how much room is kept free on the disk, 0 for none
     * @throws GroundException with three sentences
     */
    public static Ground open(Home home, Kind kind, long reserveBytes) {
        home.make();
        FileLock lock = lock(home);
        boolean opened = false;
        try {
            Ground ground = new Opening(home, kind).open(lock, reserveBytes);
            opened = true;
            return ground;
        } catch (IOException e) {
            throw refused(Disk.words(e), e);
        } catch (SQLException e) {
            throw Disk.isFull(e)
                    ? refused("the disk is full", e)
                    : refused("the database could not be opened: " + Disk.firstLine(e), e);
        } finally {
            if (!opened) {
                release(lock);
            }
        }
    }

    private static GroundException refused(String why, Exception cause) {
        GroundException refusal = new GroundException(
                "The workshop could not be opened: " + why,
                "Nothing was changed; what was recorded before is in the folder as it was.",
                "Make room or mend the folder and start again; ./escrel check FOLDER says more.");
        refusal.initCause(cause);
        return refusal;
    }

    static FileLock lock(Home home) {
        try {
            FileChannel channel = FileChannel.open(home.lock(), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            FileLock lock = null;
            try {
                lock = channel.tryLock();
            } catch (OverlappingFileLockException e) {
                // this very process has it open
            }
            if (lock == null) {
                channel.close();
                throw new GroundException(
                        "Another Escrel has this folder open",
                        "Nothing was changed.",
                        "Stop the other one, or name another folder in ESCREL_HOME.");
            }
            return lock;
        } catch (IOException e) {
            throw refused(Disk.words(e), e);
        }
    }

    static void release(FileLock lock) {
        try {
            lock.release();
            lock.acquiredBy().close();
        } catch (IOException e) {
            // the process ends soon, and its locks with it
        }
    }

    private Ground open(FileLock lock, long reserveBytes) throws IOException, SQLException {
        Restore.goOn(home);
        migrations.clearNext();
        Journal.Read journal = Journal.read(home.journal());
        boolean fresh = false;
        if (!Files.exists(home.database()) && Base.newestFirst(home.journal()).isEmpty()) {
            requireNothingLost();
            migrations.begin(kind);
            fresh = true;
        }
        boolean clean = closedWell();
        boolean anew = fresh || bringUpToDate(journal, clean || fresh);
        int version = versionOf(home.database());
        if (version > Migrations.NEWEST) {
            throw new GroundException(
                    "This folder was written by a newer Escrel",
                    "Nothing was changed.",
                    "Start the newer one, or name another folder in ESCREL_HOME.");
        }
        if (version < Migrations.NEWEST) {
            Path kept = migrations.migrate(version);
            told.add("The database was brought to this version; the one of before lies at " + kept);
            anew = true;
        }
        Files.deleteIfExists(home.clean());
        Disk.syncFolder(home.journal());
        return begin(lock, reserveBytes, journal, anew);
    }

    /** Whether it was closed well and nobody touched the file since. */
    private boolean closedWell() throws IOException {
        if (!Files.exists(home.clean()) || !Files.exists(home.database())) {
            return false;
        }
        boolean same = Files.readString(home.clean()).equals(String.valueOf(Files.size(home.database())));
        if (!same) {
            told.add("The database file was changed since Escrel closed it; it was read from end to end.");
        }
        return same;
    }

    private Ground begin(FileLock lock, long reserveBytes, Journal.Read read, boolean anew)
            throws IOException, SQLException {
        // kept open until the application has its own connections, so that it is not opened twice over
        Connection keep = DriverManager.getConnection(Database.url(home.database()), "sa", "");
        boolean done = false;
        try (Database database = Database.open(home.database())) {
            Database.Position at = database.position().orElseThrow(() -> new SQLException("it has no place"));
            if (kind == Kind.DEMO && database.kind() == Kind.REAL) {
                throw new GroundException(
                        "This folder holds a real workshop, not the demo",
                        "Nothing was changed.",
                        "Start it with ./escrel start, or name another folder for the demo in ESCREL_HOME.");
            }
            boolean goesOn =
                    !read.isEmpty() && read.last() == at.number() && read.hash().equals(at.hash());
            boolean based = !Base.newestFirst(home.journal()).isEmpty();
            Journal journal = goesOn ? Journal.goOn(home, read) : Journal.begin(home, at.number(), at.hash());
            Ledger ledger = new Ledger(home, journal, reserveBytes);
            if (anew || !goesOn || !based) {
                ledger.makeBase(database.connection());
            }
            done = true;
            return new Ground(home, lock, ledger, keep, told);
        } finally {
            if (!done) {
                keep.close();
            }
        }
    }

    /** A folder with media, things set aside or backups had a database: it is not begun anew in silence. */
    private void requireNothingLost() {
        List<String> media = new escrel.web.media.MediaStore(home.media()).names();
        boolean aside = !Disk.files(home.aside(), "escrel-", "").isEmpty();
        Optional<Path> backup = Backup.newest(home.backups());
        boolean journal = !Segment.files(home.journal()).isEmpty();
        if (!media.isEmpty() || aside || backup.isPresent() || journal) {
            throw new GroundException(
                    "The database of this folder is gone, though there is more of the workshop in it",
                    "Nothing was changed; %d photos and recordings are still there.".formatted(media.size()),
                    backup.map(b -> "Go back to the newest backup: ./escrel restore " + b)
                            .orElse("Go back to a backup with ./escrel restore FILE, or name another folder in"
                                    + " ESCREL_HOME."));
        }
    }

    /**
     * Makes the database as new as the journal.
     *
     * @return whether it was changed
     */
    private boolean bringUpToDate(Journal.Read journal, boolean clean) throws IOException, SQLException {
        boolean based = !Base.newestFirst(home.journal()).isEmpty();
        String fault = Files.exists(home.database()) ? faultOf(clean) : "it is gone";
        Database.@Nullable Position at = fault == null ? positionOf(home.database()) : null;
        if (fault == null && at == null) {
            if (!based && journal.isEmpty()) {
                // of a version that kept no journal
                return false;
            }
            fault = "it is older than the journal beside it";
        }
        if (at != null) {
            String hash = journal.isEmpty() ? null : journal.hashOf(at.number());
            if (journal.isEmpty() || at.number() > journal.last()) {
                // the first database of all, killed before its journal was begun, is no loss
                if (at.number() > 0 && (!clean || !journal.isEmpty())) {
                    told.add(
                            "The journal ended before the database did; the database is whole and a new journal begins.");
                }
                return true;
            }
            if (hash != null && hash.equals(at.hash())) {
                if (journal.last() == at.number()) {
                    return false;
                }
                int missing;
                try (Database database = Database.open(home.database())) {
                    missing = database.apply(journal, at.number());
                }
                // what was not closed well lags behind as a matter of course; only after a clean end is it worth a word
                if (clean) {
                    told.add("The database lacked %d entries of the journal; they were brought in.".formatted(missing));
                }
                return true;
            }
            if (hash != null) {
                throw new GroundException(
                        "The database and the journal in this folder do not belong together",
                        "Nothing was changed.",
                        "If the database was put there by hand, use ./escrel restore instead; or name another folder.");
            }
            fault = "it is older than its base";
        }
        rebuild(journal, fault == null ? "" : fault);
        return true;
    }

    private void rebuild(Journal.Read journal, String fault) throws IOException, SQLException {
        for (Path base : Base.newestFirst(home.journal())) {
            try {
                migrations.clearNext();
                Rebuilt.from(base, journal, home.next());
            } catch (IOException | SQLException e) {
                if (Disk.isFull(e)) {
                    throw e;
                }
                continue;
            }
            if (Files.exists(home.database())) {
                Path kept = migrations.aside("damaged");
                Files.copy(home.database(), kept);
                told.add("The database was damaged (%s). It was made anew from its base and the journal, with every"
                                .formatted(fault)
                        + " step that was acknowledged; the damaged file lies at " + kept);
            } else {
                told.add(
                        "The database was gone. It was made anew from its base and the journal, with every step that was"
                                + " acknowledged.");
            }
            Disk.putInPlace(home.next(), home.database());
            return;
        }
        throw new GroundException(
                "The database is damaged (" + fault + ")",
                "Nothing was changed.",
                Backup.newest(home.backups())
                        .map(b -> "Go back to the newest backup: ./escrel restore " + b)
                        .orElse("Go back to a backup: ./escrel restore FILE"));
    }

    /** What is wrong with the database, in words; nothing when it can be read. */
    private @Nullable String faultOf(boolean clean) {
        try (Database database = Database.open(home.database())) {
            if (database.version() == 0) {
                return "it is empty";
            }
            if (!clean) {
                database.readThrough();
            }
            if (database.position().isEmpty()) {
                // a version that kept no journal could lose steps unseen: there is nothing to bring them back from
                List<String> gaps = database.gaps();
                if (!gaps.isEmpty()) {
                    told.add("Steps were lost before this version of Escrel: " + String.join("; ", gaps)
                            + ". If you have an older copy of the folder, look there.");
                }
            }
            return null;
        } catch (SQLException e) {
            return Disk.firstLine(e);
        } catch (RuntimeException e) {
            // a torn file shows in the depths of the database, in whatever way
            return "it could not be read to its end";
        }
    }

    private static Database.@Nullable Position positionOf(Path file) throws SQLException {
        try (Database database = Database.open(file)) {
            return database.position().orElse(null);
        }
    }

    private static int versionOf(Path file) throws SQLException {
        try (Database database = Database.open(file)) {
            return database.version();
        }
    }
}
