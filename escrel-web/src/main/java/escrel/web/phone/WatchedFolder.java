package escrel.web.phone;

import escrel.core.MendableException;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * A folder into which a camera or a cable puts pictures: each that comes new goes to the part at hand of one job. What was
 * there before stays alone, and nothing in it is changed or taken away. Forgotten with a restart.
 */
@Component
class WatchedFolder {
    private static final Logger LOG = LoggerFactory.getLogger(WatchedFolder.class);
    private static final int MOST_FILES = 5_000;
    private static final long LARGEST = 64L << 20;
    private static final Set<String> ENDINGS = Set.of(".jpg", ".jpeg", ".png");

    /**
     * What is watched.
     *
     * @param job whose part at hand the pictures go to
     * @param kept how many came
     * @param refused the last one that was no picture, with the reason; nothing when all were
     */
    record Watched(Path folder, int job, int kept, @Nullable String refused) {}

    private final Arriving arriving;
    private final Path home;
    private final ScheduledExecutorService looks = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread thread = new Thread(r, "watched folder");
        thread.setDaemon(true);
        return thread;
    });
    private final Set<Path> known = new HashSet<>();
    private final Map<Path, Long> growing = new HashMap<>();
    private @Nullable Watched watched;
    private boolean started;

    WatchedFolder(Arriving arriving, @Value("${escrel.home}") String home) {
        this.arriving = arriving;
        this.home = Path.of(home).toAbsolutePath().normalize();
    }

    /** What is watched now, if anything. */
    synchronized @Nullable Watched watched() {
        return watched;
    }

    /** Watches a folder for a job; what is in it now stays alone. */
    synchronized void watch(int job, String path) {
        Path folder;
        try {
            folder = Path.of(path.strip()).toAbsolutePath().normalize();
        } catch (InvalidPathException e) {
            throw refuse("That is no folder's name");
        }
        if (path.isBlank() || !Files.isDirectory(folder)) {
            throw refuse("There is no folder “" + path.strip() + "” on this machine");
        }
        if (folder.startsWith(home) || home.startsWith(folder)) {
            throw refuse("Escrel's own records lie there");
        }
        known.clear();
        growing.clear();
        known.addAll(pictures(folder));
        watched = new Watched(folder, job, 0, null);
        if (!started) {
            started = true;
            looks.scheduleWithFixedDelay(this::look, 1, 1, TimeUnit.SECONDS);
        }
    }

    /** Watches no longer. */
    synchronized void stop() {
        watched = null;
    }

    /** Takes what came since, once it no longer grows. */
    synchronized void look() {
        Watched now = watched;
        if (now == null) {
            return;
        }
        for (Path file : pictures(now.folder())) {
            if (!known.contains(file) && isWhole(file)) {
                known.add(file);
                take(file);
            }
        }
    }

    private void take(Path file) {
        Watched now = watched;
        if (now == null) {
            return;
        }
        try (InputStream in = Files.newInputStream(file)) {
            if (Files.size(file) > LARGEST) {
                throw new IOException("it has more than 64 MB");
            }
            arriving.keep(now.job(), in, "");
            watched = new Watched(now.folder(), now.job(), now.kept() + 1, now.refused());
        } catch (MendableException e) {
            watched = new Watched(now.folder(), now.job(), now.kept(), file.getFileName() + ": " + e.whatHappened());
        } catch (IOException | RuntimeException e) {
            LOG.warn("a picture of the watched folder could not be taken", e);
            watched = new Watched(now.folder(), now.job(), now.kept(), file.getFileName() + " could not be read");
        }
    }

    /** A file is whole when two looks in a row find it as long. */
    private boolean isWhole(Path file) {
        try {
            long size = Files.size(file);
            Long before = growing.put(file, size);
            return before != null && before == size && size > 0;
        } catch (IOException e) {
            return false;
        }
    }

    private static List<Path> pictures(Path folder) {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(WatchedFolder::isPicture)
                    .limit(MOST_FILES)
                    .sorted()
                    .toList();
        } catch (IOException e) {
            return new ArrayList<>();
        }
    }

    private static boolean isPicture(Path file) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        return ENDINGS.stream().anyMatch(name::endsWith) && Files.isRegularFile(file);
    }

    @PreDestroy
    void close() {
        looks.shutdownNow();
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what, "Nothing is watched anew.", "Give the whole name of a folder on this machine.");
    }
}
