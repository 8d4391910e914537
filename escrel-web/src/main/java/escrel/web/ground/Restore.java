package escrel.web.ground;

import escrel.web.disk.Disk;
import escrel.web.media.MediaStore;
import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.SQLException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Objects;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/**
 * Goes back to a backup: everything is unpacked and checked beside what is there, then laid in its place; what was there is
 * kept aside. Interrupted while it unpacks, nothing has changed; interrupted while it lays, the next start goes on.
 */
public final class Restore {
    private static final String UNPACKED = "restoring";
    private static final String READY = "restore-ready";
    private static final DateTimeFormatter WHEN =
            DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss").withZone(ZoneOffset.UTC);

    private Restore() {}

    /**
     * Restores a backup into a folder, which may be empty or hold a workshop.
     *
     * @return what is there now
     */
    public static Manifest from(Path backup, Home home) throws IOException, SQLException {
        Manifest manifest = Manifest.of(backup);
        home.make();
        FileLock lock = Opening.lock(home);
        try {
            Path unpacked = home.folder().resolve(UNPACKED);
            Disk.deleteAll(unpacked);
            Files.deleteIfExists(home.folder().resolve(READY));
            unpack(backup, manifest, new Home(unpacked));
            Path ready = home.folder().resolve(READY);
            Path made = home.folder().resolve(READY + ".part");
            Files.writeString(made, "before-restore-" + WHEN.format(Instant.now()));
            Disk.putInPlace(made, ready);
            goOn(home);
            return manifest;
        } finally {
            Opening.release(lock);
        }
    }

    private static void unpack(Path backup, Manifest manifest, Home to) throws IOException, SQLException {
        to.make();
        MediaStore media = new MediaStore(to.media());
        try (ZipFile zip = new ZipFile(backup.toFile())) {
            try (InputStream in = entry(zip, Backup.DATABASE)) {
                Files.copy(in, to.database(), StandardCopyOption.REPLACE_EXISTING);
            }
            Disk.sync(to.database());
            MediaStore beside = new MediaStore(
                    Objects.requireNonNull(backup.toAbsolutePath().getParent()).resolve("media"));
            for (String name : manifest.media()) {
                boolean there = manifest.mediaInside() || beside.has(name);
                if (!MediaStore.isName(name) || !there) {
                    throw Manifest.refused("the photo or recording " + name + " does not lie beside it");
                }
                try (InputStream in = manifest.mediaInside() ? entry(zip, Backup.MEDIA + name) : beside.open(name)) {
                    if (!media.keep(in).equals(name)) {
                        throw Manifest.refused("a photo or recording in it is damaged");
                    }
                }
            }
        } catch (java.util.zip.ZipException | java.io.EOFException e) {
            throw Manifest.refused("it is damaged");
        }
        try (Database database = Database.open(to.database())) {
            database.readThrough();
            boolean same = database.position()
                    .filter(p -> p.number() == manifest.position() && p.hash().equals(manifest.hash()))
                    .isPresent();
            if (!same) {
                throw Manifest.refused("its database is not the one its manifest is about");
            }
        } catch (SQLException e) {
            throw Manifest.refused("its database is damaged");
        }
        Disk.sync(to.database());
        Files.writeString(to.clean(), String.valueOf(Files.size(to.database())));
        Disk.deleteAll(to.aside());
    }

    private static InputStream entry(ZipFile zip, String name) throws IOException {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            throw Manifest.refused(name + " is missing in it");
        }
        return zip.getInputStream(entry);
    }

    /** Lays what was unpacked in its place, as far as that has not been done yet. */
    static void goOn(Home home) throws IOException {
        Path ready = home.folder().resolve(READY);
        Path unpacked = home.folder().resolve(UNPACKED);
        if (!Files.exists(ready)) {
            Disk.deleteAll(unpacked);
            return;
        }
        Path aside = home.aside().resolve(Files.readString(ready));
        Files.createDirectories(aside);
        for (String name : List.of(Home.DATABASE + Home.ENDING, "journal", "media")) {
            Path fresh = unpacked.resolve(name);
            Path place = home.folder().resolve(name);
            if (Files.exists(fresh)) {
                if (Files.exists(place)) {
                    Files.move(place, aside.resolve(name), StandardCopyOption.ATOMIC_MOVE);
                }
                Files.move(fresh, place, StandardCopyOption.ATOMIC_MOVE);
                Disk.syncFolder(home.folder());
            }
        }
        Files.delete(ready);
        Disk.syncFolder(home.folder());
        Disk.deleteAll(unpacked);
    }
}
