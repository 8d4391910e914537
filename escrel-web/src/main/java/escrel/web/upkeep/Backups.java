package escrel.web.upkeep;

import escrel.core.MendableException;
import escrel.web.disk.Disk;
import escrel.web.ground.Backup;
import escrel.web.ground.Ground;
import escrel.web.ground.GroundException;
import escrel.web.ground.Manifest;
import escrel.web.storage.SettingMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.locks.ReentrantLock;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The workshop's backups. Each is proved as it is made: the database is made anew from base and journal and read from end to
 * end, and every medium is read and compared with its name.
 */
@Component
public class Backups {
    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    private static final String HOURS = "backup hours";
    private static final String KEEP = "backup keep";
    private static final String FOLDER = "backup folder";
    private static final String FAULT = "backup fault";

    private final Ground ground;
    private final SettingMapper settings;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final ReentrantLock one = new ReentrantLock();
    private volatile @Nullable Read newestRead;

    Backups(Ground ground, SettingMapper settings, TransactionTemplate transaction, Clock clock) {
        this.ground = ground;
        this.settings = settings;
        this.transaction = transaction;
        this.clock = clock;
    }

    /**
     * A backup there is.
     *
     * @param name of its file
     * @param readable whether it says of itself what is in it
     */
    public record Kept(String name, Instant at, int jobs, int steps, int media, boolean readable) {}

    /** What was read of a file, and how the file was then: asked for on every first page, its list of media may be long. */
    private record Read(Path file, long bytes, FileTime changed, Kept kept) {}

    /** How the workshop wants them; daily, two weeks of them in the folder itself, until somebody says otherwise. */
    public BackupPlan plan() {
        return plan(given());
    }

    private BackupPlan plan(Map<String, String> given) {
        return new BackupPlan(
                Optional.ofNullable(given.get(HOURS)).map(Integer::parseInt).orElse(BackupPlan.EVERY_DAY),
                Optional.ofNullable(given.get(KEEP)).map(Integer::parseInt).orElse(BackupPlan.TWO_WEEKS),
                Optional.ofNullable(given.get(FOLDER))
                        .map(Path::of)
                        .orElse(ground.home().backups()));
    }

    private Map<String, String> given() {
        return settings.all().stream()
                .collect(Collectors.toMap(SettingMapper.Setting::name, SettingMapper.Setting::given));
    }

    /**
     * How backups stand, for the first page.
     *
     * @param newest the newest one that can be gone back to
     * @param overdue whether one is overdue so far that it should be said
     * @param fault why the last attempt failed
     */
    public record Standing(
            @Nullable Kept newest,
            boolean overdue,
            @Nullable String fault) {}

    /** How they stand now. */
    public Standing standing() {
        Map<String, String> given = given();
        BackupPlan plan = plan(given);
        Kept newest = newest(plan).orElse(null);
        Instant before = clock.instant().minus(Duration.ofHours(2L * Math.max(1, plan.hours()) + 1));
        boolean overdue = plan.hours() > 0 && (newest == null || !newest.at().isAfter(before));
        return new Standing(newest, overdue, fault(given).orElse(null));
    }

    /** Changes how they are made. */
    public void plan(int hours, int keep, String folder) {
        BackupPlan plan = BackupPlan.of(hours, keep, folder);
        transaction.executeWithoutResult(t -> {
            settings.put(HOURS, String.valueOf(plan.hours()));
            settings.put(KEEP, String.valueOf(plan.keep()));
            settings.put(FOLDER, plan.folder().toString());
        });
    }

    /** Those there are, the newest first. */
    public List<Kept> all() {
        List<Kept> all = new ArrayList<>();
        for (Path file : Backup.all(plan().folder())) {
            all.add(0, kept(file));
        }
        return all;
    }

    private static Kept kept(Path file) {
        String name = String.valueOf(file.getFileName());
        try {
            Manifest manifest = Manifest.of(file);
            return new Kept(
                    name,
                    manifest.madeAt(),
                    manifest.jobs(),
                    manifest.steps(),
                    manifest.media().size(),
                    true);
        } catch (GroundException e) {
            return new Kept(name, Instant.EPOCH, 0, 0, 0, false);
        }
    }

    private Optional<Kept> newest(BackupPlan plan) {
        List<Path> files = Backup.all(plan.folder());
        for (int i = files.size() - 1; i >= 0; i--) {
            Kept kept = asRead(files.get(i));
            if (kept.readable()) {
                return Optional.of(kept);
            }
        }
        return Optional.empty();
    }

    /** As it was read last where the file is as it was then; else it is read. */
    private Kept asRead(Path file) {
        try {
            Read known = newestRead;
            long bytes = Files.size(file);
            FileTime changed = Files.getLastModifiedTime(file);
            if (known != null && known.equals(new Read(file, bytes, changed, known.kept))) {
                return known.kept;
            }
            Kept kept = kept(file);
            newestRead = new Read(file, bytes, changed, kept);
            return kept;
        } catch (IOException e) {
            // gone meanwhile, or not to be asked
            return kept(file);
        }
    }

    /** Whether they lie on the disk on which the workshop lies: a dead disk would take both. */
    public boolean onSameDisk() {
        try {
            Path folder = plan().folder();
            Path there = Files.exists(folder) ? folder : ground.home().folder();
            return Files.getFileStore(there)
                    .equals(Files.getFileStore(ground.home().folder()));
        } catch (IOException e) {
            // a folder that cannot be asked is not there just now
            return false;
        }
    }

    /** Why the last attempt failed; nothing when it did not. */
    public Optional<String> fault() {
        return fault(given());
    }

    private static Optional<String> fault(Map<String, String> given) {
        return Optional.ofNullable(given.get(FAULT)).filter(f -> !f.isEmpty());
    }

    /** Whether one is due by the plan. */
    public boolean isDue() {
        BackupPlan plan = plan();
        if (plan.hours() == 0) {
            return false;
        }
        Instant before = clock.instant().minus(Duration.ofHours(plan.hours()));
        return newest(plan).filter(k -> k.at().isAfter(before)).isEmpty();
    }

    /**
     * Makes one now and lets go of the oldest.
     *
     * @throws MendableException when it could not be made; the fault is remembered for the first page
     */
    public Backup.Made make() {
        if (!one.tryLock()) {
            throw new MendableException(
                    "A backup is being made already",
                    "Nothing was changed.",
                    "Wait until it is done; this page says so.");
        }
        try {
            BackupPlan plan = plan();
            Backup.Made made = Backup.beside(ground.home(), plan.folder());
            Backup.keepNewest(plan.folder(), plan.keep());
            remember("");
            return made;
        } catch (IOException e) {
            throw failed(Disk.words(e), e);
        } catch (SQLException e) {
            throw failed(Disk.firstLine(e), e);
        } catch (GroundException e) {
            throw failed(e.whatHappened(), e);
        } finally {
            one.unlock();
        }
    }

    private MendableException failed(String why, Exception cause) {
        LOG.warn("no backup was made", cause);
        try {
            remember(why);
        } catch (RuntimeException e) {
            // a disk too full for the backup is too full for this, too: the page that asked says it
            cause.addSuppressed(e);
        }
        return new MendableException(
                "No backup was made: " + why,
                "The workshop's records are as they were, and so are the earlier backups.",
                "Make room or choose another folder, and make one now.");
    }

    private void remember(String fault) {
        if (!fault.equals(given().getOrDefault(FAULT, ""))) {
            String kept = fault.length() <= 300 ? fault : fault.substring(0, 300);
            transaction.executeWithoutResult(t -> settings.put(FAULT, kept));
        }
    }
}
