package escrel.web.ground;

import escrel.web.disk.Disk;
import escrel.web.media.MediaStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.SQLException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;

/**
 * Makes the first database of a folder, and brings those of earlier versions to the present one: on a copy, which is checked and then put in place by one rename. What was
 * there is kept aside. Interrupted at any moment, the folder holds the one or the other.
 */
final class Migrations {
    private static final DateTimeFormatter WHEN =
            DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss").withZone(ZoneOffset.UTC);

    /** Number of the newest migration. */
    static final int NEWEST = 13;

    private final Home home;
    private final MediaStore media;

    Migrations(Home home) {
        this.home = home;
        this.media = new MediaStore(home.media());
    }

    /**
     * Makes the first database of a folder and says in it what it is for: at once as all the migrations would make it, one
     * after the other, which took a quarter of a first start.
     */
    void begin(Opening.Kind kind) throws IOException, SQLException {
        clearNext();
        try (Database next = Database.begin(home.next())) {
            requireNewest(next);
            next.mark(kind);
            next.shutDown();
        }
        Disk.putInPlace(home.next(), home.database());
    }

    /**
     * Migrates the database.
     *
     * @return where the one of before is kept
     */
    Path migrate(int from) throws IOException, SQLException {
        clearNext();
        Path kept = aside("before-version-" + NEWEST + "-was-" + from);
        Files.copy(home.database(), home.next());
        migrateNext();
        Path copy = home.aside().resolve("copying");
        Files.copy(home.database(), copy, StandardCopyOption.REPLACE_EXISTING);
        Disk.putInPlace(copy, kept);
        Disk.putInPlace(home.next(), home.database());
        return kept;
    }

    Path aside(String why) {
        return home.aside().resolve("escrel-" + WHEN.format(Instant.now()) + "-" + why + Home.ENDING);
    }

    void clearNext() throws IOException {
        for (Path left : Disk.files(home.folder(), Home.NEXT, "")) {
            Files.deleteIfExists(left);
        }
    }

    private void migrateNext() throws SQLException {
        try {
            flyway(home.next()).migrate();
        } catch (FlywayException e) {
            throw new SQLException("the database could not be brought to this version", e);
        }
        try (Database next = Database.open(home.next())) {
            requireNewest(next);
            next.readThrough();
            next.shutDown();
        }
    }

    private static void requireNewest(Database next) throws SQLException {
        if (next.version() != NEWEST) {
            throw new SQLException("the migrations end at %d, not at %d".formatted(next.version(), NEWEST));
        }
    }

    private Flyway flyway(Path file) {
        return Flyway.configure()
                .dataSource(Database.url(file), "sa", "")
                .locations("classpath:db/migration")
                .javaMigrations(new MoveMediaOut(media))
                .load();
    }
}
