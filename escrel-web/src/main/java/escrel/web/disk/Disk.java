package escrel.web.disk;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;

/** Files as they must be handled so that they are there after the power failed: written, synced, then put in place. */
public final class Disk {
    private Disk() {}

    /** Makes sure that what was written to a file is on the disk. */
    public static void sync(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    /** Makes sure that the names in a folder are on the disk; where a system cannot, it does that by itself. */
    public static void syncFolder(Path folder) {
        try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
            channel.force(true);
        } catch (IOException e) {
            // Windows opens no folders: its file system keeps the order of names by itself
        }
    }

    /** Puts a finished file in its place, over what was there: after a crash it is the one or the other. */
    public static void putInPlace(Path made, Path place) throws IOException {
        sync(made);
        Files.move(made, place, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        syncFolder(Objects.requireNonNull(place.getParent()));
    }

    /** A folder that others on this machine may not read, made when it is not there. */
    public static void makeFolder(Path folder) throws IOException {
        if (Files.isDirectory(folder)) {
            return;
        }
        Files.createDirectories(folder);
        try {
            Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwx------"));
        } catch (UnsupportedOperationException e) {
            // no such permissions here: a person's own folder is theirs alone by other means
        }
    }

    /** An empty file that others on this machine may not read. */
    public static void createPrivate(Path file) throws IOException {
        Files.createFile(file);
        try {
            Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
        } catch (UnsupportedOperationException e) {
            // as for folders
        }
    }

    /** Deletes a folder with everything in it; what is not there is no fault. */
    public static void deleteAll(Path folder) throws IOException {
        if (!Files.exists(folder)) {
            return;
        }
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path each : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(each);
            }
        }
    }

    /** The files of a folder whose names begin and end so, by name; none when there is no such folder. */
    public static List<Path> files(Path folder, String begin, String end) {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(f -> {
                        String name = String.valueOf(f.getFileName());
                        return name.startsWith(begin) && name.endsWith(end);
                    })
                    .sorted()
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What a file system says, in words; it names no class of ours. */
    public static String words(IOException e) {
        if (e instanceof AccessDeniedException) {
            return "it may not be written or read by this user";
        }
        if (e instanceof NoSuchFileException) {
            return "it is not there";
        }
        if (e instanceof FileAlreadyExistsException || e instanceof NotDirectoryException) {
            return "a file lies where a folder should be";
        }
        // the message of a file system names the file; who reads this may sit at another computer
        String reason = e instanceof FileSystemException f ? f.getReason() : e.getMessage();
        return isFull(e) ? "the disk is full" : reason == null ? "the disk refused" : reason;
    }

    /** Whether a failure, or what caused it, is a full disk. */
    public static boolean isFull(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            String message = String.valueOf(cause.getMessage()).toLowerCase(Locale.ROOT);
            if (message.contains("no space left")
                    || message.contains("not enough space")
                    || message.contains("disk quota")
                    || message.contains("file too large")) {
                return true;
            }
        }
        return false;
    }

    /** What the database says went wrong, in its first line and without its numbers. */
    public static String firstLine(Exception e) {
        return String.valueOf(e.getMessage())
                .lines()
                .findFirst()
                .orElse("unreadable")
                .replaceAll("\\s*\\[\\d+-\\d+]", "");
    }
}
