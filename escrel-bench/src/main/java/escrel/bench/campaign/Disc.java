package escrel.bench.campaign;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/**
 * A disk as it may be found after the power failed: what was synced is there; of what was written since, any part may be,
 * whole or by pages of 4 kB; a name made or moved since its folder was synced may be there or not.
 */
final class Disc {
    private static final int PAGE = 4096;

    /** A file's content as synced, and what was written since, in order. */
    private static final class Content {
        private byte[] synced = new byte[0];
        private final List<Write> since = new ArrayList<>();
    }

    /** Bytes at a place, or a new length when there are none. */
    private record Write(long at, byte @Nullable [] bytes) {}

    /** A change of names that its folder has not synced. */
    private record Naming(
            String folder,
            @Nullable String gone,
            @Nullable String come,
            @Nullable Content content) {}

    private final Map<String, Content> names = new HashMap<>();
    private final Map<String, Content> durable = new HashMap<>();
    private final List<Naming> unsynced = new ArrayList<>();

    Content open(String path, boolean truncate) {
        Content content = names.get(path);
        if (content == null) {
            content = new Content();
            names.put(path, content);
            unsynced.add(new Naming(folder(path), null, path, content));
        } else if (truncate) {
            content.since.add(new Write(0, null));
        }
        return content;
    }

    boolean has(String path) {
        return names.containsKey(path);
    }

    void write(String path, long at, byte[] bytes) {
        open(path, false).since.add(new Write(at, bytes));
    }

    void truncate(String path, long length) {
        open(path, false).since.add(new Write(length, null));
    }

    /** Everything written to a file so far is on the disk; so is its name, as journalling file systems have it. */
    void sync(String path) {
        Content content = names.get(path);
        if (content != null) {
            content.synced = content.since.stream().reduce(content.synced, Disc::applied, (a, b) -> b);
            content.since.clear();
        }
    }

    void syncFolder(String folder) {
        List<Naming> left = new ArrayList<>();
        for (Naming naming : unsynced) {
            if (naming.folder().equals(folder)) {
                settle(durable, naming);
            } else {
                left.add(naming);
            }
        }
        unsynced.clear();
        unsynced.addAll(left);
    }

    void rename(String from, String to) {
        Content content = names.remove(from);
        if (content != null) {
            names.put(to, content);
            unsynced.add(new Naming(folder(to), from, to, content));
        }
    }

    void delete(String path) {
        if (names.remove(path) != null) {
            unsynced.add(new Naming(folder(path), path, null, null));
        }
    }

    private static void settle(Map<String, Content> names, Naming naming) {
        if (naming.gone() != null) {
            names.remove(naming.gone());
        }
        if (naming.come() != null) {
            names.put(naming.come(), Objects.requireNonNull(naming.content()));
        }
    }

    private static String folder(String path) {
        return path.substring(0, path.lastIndexOf('/'));
    }

    private static byte[] applied(byte[] before, Write write) {
        if (write.bytes() == null) {
            return Arrays.copyOf(before, (int) write.at());
        }
        byte[] after = Arrays.copyOf(before, (int) Math.max(before.length, write.at() + write.bytes().length));
        System.arraycopy(write.bytes(), 0, after, (int) write.at(), write.bytes().length);
        return after;
    }

    /**
     * Lays out one of the disks there may be.
     *
     * @param root what the paths begin with
     * @param byPages whether a write may be there in part
     */
    void layOut(String root, Path to, Random random, boolean byPages) throws IOException {
        Map<String, Content> there = new HashMap<>(durable);
        // names of one folder come in their order, up to some moment
        Map<String, Integer> until = new HashMap<>();
        unsynced.forEach(n -> until.merge(n.folder(), 1, Integer::sum));
        until.replaceAll((folder, count) -> random.nextInt(count + 1));
        Map<String, Integer> seen = new HashMap<>();
        for (Naming naming : unsynced) {
            if (seen.merge(naming.folder(), 1, Integer::sum) <= Objects.requireNonNull(until.get(naming.folder()))) {
                settle(there, naming);
            }
        }
        for (Map.Entry<String, Content> file : there.entrySet()) {
            if (file.getKey().startsWith(root)) {
                Path path = Path.of(to + file.getKey().substring(root.length()));
                Files.createDirectories(path.getParent());
                lay(file.getValue(), path, random, byPages);
            }
        }
    }

    private static void lay(Content content, Path path, Random random, boolean byPages) throws IOException {
        try (RandomAccessFile file = new RandomAccessFile(path.toFile(), "rw")) {
            file.write(content.synced);
            for (Write write : content.since) {
                byte[] bytes = write.bytes();
                if (bytes == null) {
                    if (random.nextBoolean()) {
                        file.setLength(write.at());
                    }
                } else if (!byPages) {
                    if (random.nextBoolean()) {
                        put(file, write.at(), bytes, 0, bytes.length);
                    }
                } else {
                    for (int from = 0; from < bytes.length; from += PAGE) {
                        if (random.nextBoolean()) {
                            put(file, write.at() + from, bytes, from, Math.min(PAGE, bytes.length - from));
                        }
                    }
                }
            }
        }
    }

    private static void put(RandomAccessFile file, long at, byte[] bytes, int from, int length) throws IOException {
        file.seek(at);
        file.write(bytes, from, length);
    }
}
