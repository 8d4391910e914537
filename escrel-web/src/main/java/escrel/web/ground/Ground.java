package escrel.web.ground;

import java.io.Closeable;
import java.io.IOException;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/** An opened folder: locked for others, its journal going on. */
public final class Ground implements Closeable {
    private final Home home;
    private final FileLock lock;
    private final Ledger ledger;
    private static final long WORTH_COMPACTING = 16 << 20;

    private Connection keep;
    private final List<String> told;
    private boolean closed;

    Ground(Home home, FileLock lock, Ledger ledger, Connection keep, List<String> told) {
        this.home = home;
        this.lock = lock;
        this.ledger = ledger;
        this.keep = keep;
        this.told = List.copyOf(told);
    }

    public Home home() {
        return home;
    }

    public Ledger ledger() {
        return ledger;
    }

    /** What was found and put right when it was opened, in words; none when all was well. */
    public List<String> told() {
        return told;
    }

    /** Address of the database for the application's own connections. */
    public String url() {
        return Database.url(home.database());
    }

    /**
     * Opens the database again after it closed itself, as it does when it cannot write, and brings it up to the journal. All
     * other connections must have been let go.
     *
     * @throws SQLException when it still cannot be opened
     */
    synchronized void revive() throws SQLException, IOException {
        synchronized (ledger) {
            try {
                keep.close();
            } catch (SQLException e) {
                // it is closed already, with the database
            }
            keep = DriverManager.getConnection(url(), "sa", "");
            Database database = Database.on(keep);
            Database.Position at = database.position().orElseThrow(() -> new SQLException("it has no place"));
            database.apply(Journal.read(home.journal()), at.number());
        }
    }

    /** A database mostly of what was written over is packed while nobody uses it. */
    private void compact() throws SQLException, IOException {
        long size = Files.size(home.database());
        long packed = 0;
        for (Path base : Base.newestFirst(home.journal())) {
            packed = Math.max(packed, Files.size(base));
        }
        if (size > WORTH_COMPACTING && size > 4 * packed) {
            try (Statement statement = keep.createStatement()) {
                statement.execute("shutdown compact");
            }
        }
    }

    /** Ends well: to be called when all other connections are closed. */
    @Override
    public synchronized void close() throws IOException {
        if (closed) {
            return;
        }
        closed = true;
        try {
            compact();
            keep.close();
            ledger.close();
            Files.writeString(home.clean(), String.valueOf(Files.size(home.database())));
        } catch (SQLException e) {
            throw new IOException("the database could not be closed", e);
        } finally {
            Opening.release(lock);
        }
    }
}
