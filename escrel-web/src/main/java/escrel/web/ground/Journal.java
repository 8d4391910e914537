package escrel.web.ground;

import escrel.web.disk.Disk;
import java.io.Closeable;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The changes of the database in the order in which they were made, each on the disk before it is acknowledged. The
 * database itself may lag behind and may be torn by a power failure: it is brought up to date from here, or made anew from
 * the base and from here (decision 18). One process writes it; its methods are for one thread at a time.
 */
final class Journal implements Closeable {
    /** Room is made in pieces, so that a full disk shows before a change is made and not in the middle of it. */
    static final int ROOM = 256 * 1024;

    private final Home home;
    private FileChannel channel;
    private long end;
    private long room;
    private long last;
    private String hash;

    private Journal(Home home, FileChannel channel, long end, long last, String hash) throws IOException {
        this.home = home;
        this.channel = channel;
        this.end = end;
        this.room = channel.size();
        this.last = last;
        this.hash = hash;
    }

    /**
     * What a journal says as a whole: its files, and where it ends. The entries stay on the disk.
     *
     * @param hashes of the entries, from the first it holds
     * @param voided numbers of those that do not count
     */
    record Read(List<Segment> segments, List<String> hashes, Set<Long> voided) {
        boolean isEmpty() {
            return segments.isEmpty();
        }

        /** Number of the first entry it holds. */
        long first() {
            return segments.get(0).first();
        }

        long last() {
            return segments.isEmpty() ? 0 : segments.get(segments.size() - 1).last();
        }

        String hash() {
            return segments.isEmpty()
                    ? Entry.BEGINNING
                    : segments.get(segments.size() - 1).hash();
        }

        /** Hash of an entry, or of the one before the first it holds; nothing of others. */
        @Nullable
        String hashOf(long number) {
            if (!isEmpty() && number == first() - 1) {
                return segments.get(0).before();
            }
            int at = (int) (number - (isEmpty() ? 1 : first()));
            return at >= 0 && at < hashes.size() ? hashes.get(at) : null;
        }

        /** Whether an entry was written and then not committed after all. */
        boolean isVoid(Entry entry) {
            return voided.contains(entry.number());
        }

        /** Reads what came after a number once more, entry by entry. What was added meanwhile is left out. */
        <E extends Exception> void after(long number, Entry.Taker<E> taker) throws IOException, E {
            for (Segment segment : segments) {
                if (segment.last() > number) {
                    Segment.<E>read(segment.file(), entry -> {
                        if (entry.number() > number && entry.number() <= segment.last()) {
                            taker.take(entry);
                        }
                    });
                }
            }
        }
    }

    /** Reads everything that hangs together; files after a gap are left out. */
    static Read read(Path journal) throws IOException {
        List<Segment> segments = new ArrayList<>();
        List<String> hashes = new ArrayList<>();
        Set<Long> voided = new HashSet<>();
        for (Path file : Segment.files(journal)) {
            List<String> own = new ArrayList<>();
            Set<Long> ownVoided = new HashSet<>();
            Segment segment = Segment.read(file, e -> {
                        own.add(e.hash());
                        if (e.voids() > 0) {
                            ownVoided.add(e.voids());
                        }
                    })
                    .orElse(null);
            Segment before = segments.isEmpty() ? null : segments.get(segments.size() - 1);
            boolean follows = segment != null
                    && (before == null
                            || segment.first() == before.last() + 1
                                    && segment.before().equals(before.hash()));
            if (segment == null || !follows) {
                break;
            }
            segments.add(segment);
            hashes.addAll(own);
            voided.addAll(ownVoided);
        }
        return new Read(List.copyOf(segments), List.copyOf(hashes), Set.copyOf(voided));
    }

    /** Goes on writing where a journal ends. */
    static Journal goOn(Home home, Read read) throws IOException {
        Segment at = read.segments().get(read.segments().size() - 1);
        FileChannel channel = FileChannel.open(at.file(), StandardOpenOption.WRITE, StandardOpenOption.READ);
        Journal journal = new Journal(home, channel, at.end(), at.last(), at.hash());
        // what was torn is cleared, lest the rest of it ever reads as an entry
        channel.truncate(at.end());
        journal.room = at.end();
        journal.makeRoom(0);
        channel.force(true);
        return journal;
    }

    /** Begins anew after an entry: nothing of the journals before is needed. */
    static Journal begin(Home home, long last, String hash) throws IOException {
        Journal journal = new Journal(home, newFile(home, last, hash), Segment.header(hash).length, last, hash);
        journal.makeRoom(0);
        return journal;
    }

    private static FileChannel newFile(Home home, long last, String hash) throws IOException {
        Path file = Segment.file(home, last + 1);
        Path made = home.journal().resolve("new");
        Files.deleteIfExists(made);
        Files.write(made, Segment.header(hash));
        Disk.putInPlace(made, file);
        return FileChannel.open(file, StandardOpenOption.WRITE, StandardOpenOption.READ);
    }

    long last() {
        return last;
    }

    String hash() {
        return hash;
    }

    /** Bytes in the present file. */
    long size() {
        return end;
    }

    /** The entry that these changes would be. */
    Entry next(List<Change> changes) {
        return Entry.of(last + 1, hash, changes);
    }

    /**
     * Writes an entry; it is on the disk when this returns.
     *
     * @throws IOException when there is no room or the disk refuses; the journal is as it was
     */
    void append(Entry entry) throws IOException {
        byte[] line = entry.line();
        makeRoom(line.length);
        write(line, end);
        channel.force(false);
        end += line.length;
        last = entry.number();
        hash = entry.hash();
    }

    /** Says that the last entry was not committed after all. There is always room for that. */
    void voidLast() throws IOException {
        append(Entry.voiding(last + 1, hash, last));
    }

    /** Goes on in a new file, so that the old ones can go when a base has been made. */
    void roll() throws IOException {
        FileChannel next = newFile(home, last, hash);
        channel.close();
        channel = next;
        end = Segment.header(hash).length;
        room = end;
        makeRoom(0);
    }

    private void makeRoom(int wanted) throws IOException {
        // as much again is kept for the line that voids an entry
        if (end + wanted + ROOM / 2 <= room) {
            return;
        }
        long until = end + wanted + ROOM;
        byte[] zeros = new byte[ROOM];
        while (room < until) {
            int part = (int) Math.min(ROOM, until - room);
            write(zeros, room, part);
            room += part;
        }
        channel.force(true);
    }

    private void write(byte[] bytes, long at) throws IOException {
        write(bytes, at, bytes.length);
    }

    private void write(byte[] bytes, long at, int length) throws IOException {
        ByteBuffer buffer = ByteBuffer.wrap(bytes, 0, length);
        long to = at;
        while (buffer.hasRemaining()) {
            to += channel.write(buffer, to);
        }
    }

    @Override
    public void close() throws IOException {
        channel.close();
    }
}
