package escrel.web.ground;

import escrel.web.disk.Disk;
import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.concurrent.locks.ReentrantLock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Where transactions end: one at a time, the changes go to the journal and onto the disk, then the database commits. A
 * commit costs one sync of a small file; taking several together would save nothing to a workshop of one.
 */
public final class Ledger implements Closeable {
    private static final Logger LOG = LoggerFactory.getLogger(Ledger.class);
    private static final String ANOTHER_NAME = "base-new.zip";

    private final Home home;
    private final Journal journal;
    private final long reserveBytes;
    private final ReentrantLock oneBase = new ReentrantLock();
    private boolean broken;

    Ledger(Home home, Journal journal, long reserveBytes) {
        this.home = home;
        this.journal = journal;
        this.reserveBytes = reserveBytes;
    }

    /**
     * Ends a transaction: all of it is on the disk when this returns.
     *
     * @throws NoRoomException when the disk is full or refuses; nothing was recorded then
     */
    synchronized void commit(Connection connection, List<Change> changes) throws SQLException {
        requireRoom();
        Entry entry = journal.next(changes);
        try {
            Database.moveTo(connection, entry);
            journal.append(entry);
        } catch (IOException e) {
            LOG.error("the journal could not be written", e);
            throw new NoRoomException(Disk.words(e), e);
        }
        try {
            connection.commit();
        } catch (SQLException e) {
            forget(e);
            throw e;
        }
    }

    private void forget(SQLException failure) {
        try {
            journal.voidLast();
        } catch (IOException e) {
            // the next start would take the entry for one that counts: no more is written before that is cleared up
            broken = true;
            failure.addSuppressed(e);
        }
    }

    /**
     * Refuses a change before it is made when there is no room to record it.
     *
     * @throws NoRoomException as {@link #commit}
     */
    synchronized void requireRoom() throws NoRoomException {
        if (broken) {
            throw new NoRoomException("the journal could not be kept in order; stop Escrel and start it again", null);
        }
        if (reserveBytes <= 0) {
            return;
        }
        try {
            long room = room();
            if (room < reserveBytes) {
                throw new NoRoomException(
                        "the disk is full but for %d MB, and %d MB are kept free so that nothing breaks"
                                .formatted(room >> 20, reserveBytes >> 20),
                        null);
            }
        } catch (IOException e) {
            throw new NoRoomException(Disk.words(e), e);
        }
    }

    /** Asked before every write: a disk is looked up among all that are mounted only where the quick answer is nothing. */
    private long room() throws IOException {
        long room = home.folder().toFile().getUsableSpace();
        return room > 0 ? room : Files.getFileStore(home.folder()).getUsableSpace();
    }

    /** How much was written since the base was made, in bytes. */
    public synchronized long sinceBase() {
        return journal.size();
    }

    /**
     * Makes a new base of the database as it is now, and lets go of what came before it. Others may go on recording.
     *
     * @param connection any to the database
     */
    public void makeBase(Connection connection) throws SQLException, IOException {
        oneBase.lock();
        try {
            base(connection);
        } finally {
            oneBase.unlock();
        }
    }

    private void base(Connection connection) throws SQLException, IOException {
        long from;
        synchronized (this) {
            from = journal.last();
            if (!Segment.file(home, from + 1).equals(lastFile())) {
                journal.roll();
            }
        }
        Path made = home.journal().resolve(ANOTHER_NAME);
        Files.deleteIfExists(made);
        Database.snapshot(connection, made);
        Disk.putInPlace(made, Base.file(home, from));
        Base.letGoBefore(home, from);
    }

    private Path lastFile() {
        List<Path> files = Segment.files(home.journal());
        return files.get(files.size() - 1);
    }

    @Override
    public synchronized void close() throws IOException {
        journal.close();
    }
}
