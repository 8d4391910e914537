package escrel.web.media;

import escrel.web.disk.Disk;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Photos, recordings and documents as files named by the SHA-256 of what is in them, two folders deep. A file is written
 * and synced under another name before it takes its own, so whatever has a name is whole; the same content is kept once;
 * nothing is ever changed. Safe for many threads and processes.
 */
public final class MediaStore {
    private static final Pattern NAME = Pattern.compile("[0-9a-f]{64}");
    private static final String ARRIVING = "arriving";

    private final Path folder;

    /**
     * A store.
     *
     * @param folder made when something is kept
     */
    public MediaStore(Path folder) {
        this.folder = folder;
    }

    /** Whether a text has the form of a name here. */
    public static boolean isName(String name) {
        return NAME.matcher(name).matches();
    }

    /** Keeps what is read and returns its name; it is on the disk then. */
    public String keep(InputStream in) throws IOException {
        Path arriving = arriving();
        try {
            String name;
            try (FileChannel channel =
                            FileChannel.open(arriving, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
                    OutputStream out = Channels.newOutputStream(channel)) {
                DigestInputStream digesting = new DigestInputStream(in, sha256());
                digesting.transferTo(out);
                channel.force(true);
                name = HexFormat.of().formatHex(digesting.getMessageDigest().digest());
            }
            putInPlace(arriving, name);
            return name;
        } finally {
            Files.deleteIfExists(arriving);
        }
    }

    /** Keeps these bytes and returns their name. */
    public String keep(byte[] bytes) {
        try {
            return keep(new ByteArrayInputStream(bytes));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A file to write to before its content is kept; in the same file system, so that it can be moved. */
    public Path arriving() throws IOException {
        Path arriving = Files.createDirectories(folder.resolve(ARRIVING));
        return arriving.resolve(UUID.randomUUID().toString());
    }

    /** Keeps a file made by {@link #arriving}; it is gone from there then. */
    public String keepArrived(Path arrived) throws IOException {
        String name = nameOf(arrived);
        try (FileChannel channel = FileChannel.open(arrived, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
        putInPlace(arrived, name);
        return name;
    }

    private void putInPlace(Path arrived, String name) throws IOException {
        Path place = path(name);
        if (Files.exists(place)) {
            Files.deleteIfExists(arrived);
            // it was just asked for again: a clean-up that has begun leaves it
            Files.setLastModifiedTime(place, java.nio.file.attribute.FileTime.from(Instant.now()));
            return;
        }
        Path parent = Objects.requireNonNull(place.getParent());
        boolean fresh = !Files.isDirectory(parent);
        Files.createDirectories(parent);
        Files.move(arrived, place, StandardCopyOption.ATOMIC_MOVE);
        Disk.syncFolder(parent);
        if (fresh) {
            Disk.syncFolder(folder);
        }
    }

    /** Where a file lies. */
    public Path path(String name) {
        if (!isName(name)) {
            throw new IllegalArgumentException("no name of a medium: " + name);
        }
        return folder.resolve(name.substring(0, 2)).resolve(name);
    }

    /** Whether there is such a file. */
    public boolean has(String name) {
        return isName(name) && Files.isRegularFile(path(name));
    }

    /** Length in bytes. */
    public long size(String name) {
        try {
            return Files.size(path(name));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Reads a file from its beginning. */
    public InputStream open(String name) {
        try {
            return new BufferedInputStream(Files.newInputStream(path(name)), 1 << 16);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A whole file. */
    public byte[] bytes(String name) {
        try {
            return Files.readAllBytes(path(name));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Whether a file is what its name says. */
    public boolean isWhole(String name) {
        try {
            return has(name) && nameOf(path(name)).equals(name);
        } catch (IOException e) {
            return false;
        }
    }

    /** The names of all files. */
    public List<String> names() {
        List<String> names = new ArrayList<>();
        if (!Files.isDirectory(folder)) {
            return names;
        }
        try (Stream<Path> files = Files.walk(folder, 2)) {
            files.map(f -> String.valueOf(f.getFileName()))
                    .filter(MediaStore::isName)
                    .forEach(names::add);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return names;
    }

    /**
     * Deletes files that nothing needs and that were not touched since a moment, those left over from an interruption too.
     *
     * @return how many went
     */
    public int sweep(Predicate<String> needed, Instant untouchedSince) throws IOException {
        int gone = 0;
        List<Path> candidates = new ArrayList<>();
        for (String name : names()) {
            if (!needed.test(name)) {
                candidates.add(path(name));
            }
        }
        Path arriving = folder.resolve(ARRIVING);
        if (Files.isDirectory(arriving)) {
            try (Stream<Path> files = Files.list(arriving)) {
                candidates.addAll(files.toList());
            }
        }
        for (Path file : candidates) {
            try {
                if (Files.getLastModifiedTime(file).toInstant().isBefore(untouchedSince)) {
                    gone += Files.deleteIfExists(file) ? 1 : 0;
                }
            } catch (NoSuchFileException e) {
                // somebody took it into use, or swept it already
            }
        }
        return gone;
    }

    /** The name that the content of a file has. */
    public static String nameOf(Path file) throws IOException {
        MessageDigest digest = sha256();
        try (InputStream in = Files.newInputStream(file)) {
            byte[] buffer = new byte[1 << 16];
            for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
                digest.update(buffer, 0, n);
            }
        }
        return HexFormat.of().formatHex(digest.digest());
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
