package escrel.web.ground;

import java.io.Closeable;
import java.io.IOException;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;

/** An opened folder: locked for others, its journal going on. */
public final class Ground implements Closeable {
    private final Home home;
    private final FileLock lock;
    private final Ledger ledger;
    private final Connection keep;
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

    /** Ends well: to be called when all other connections are closed. */
    @Override
    public synchronized void close() throws IOException {
        if (closed) {
            return;
        }
        closed = true;
        try {
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
