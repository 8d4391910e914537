package escrel.web.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.web.media.MediaStore;
import escrel.web.testing.EscrelServer;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Back up and go back: while it runs, in the middle of things, and when the backup itself is damaged. */
class BackupTest {
    private Path folder;

    @BeforeEach
    void aFolder() {
        folder = EscrelServer.folder();
    }

    private static String document(Bench bench, String words) throws SQLException {
        String name = new MediaStore(bench.home.media()).keep(words.getBytes(java.nio.charset.StandardCharsets.UTF_8));
        try (Connection connection = bench.data.getConnection();
                PreparedStatement statement = connection.prepareStatement("""
                        insert into sheet_document (calibre, number, title, source, media_type, body, added_at)
                        values ('c', ?, 'leaflet', 'us', 'text/plain', ?, timestamp with time zone '2026-01-01 00:00:00+00')""")) {
            statement.setInt(1, words.length());
            statement.setString(2, name);
            statement.executeUpdate();
        }
        return name;
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void whatWasBackedUpComesBackAndWhatWasThereIsKeptAside(boolean inside) throws Exception {
        Path backup;
        String leaflet;
        try (Bench bench = Bench.on(folder)) {
            bench.record("before");
            leaflet = document(bench, "what the leaflet says");
            backup = inside
                    ? Backup.whole(bench.home, folder.resolve("away/b.zip")).file()
                    : Backup.beside(bench.home, folder.resolve("away")).file();
            bench.record("after");
        }
        assertThat(Manifest.of(backup).media()).containsExactly(leaflet);

        Path fresh = EscrelServer.folder();
        Restore.from(backup, new Home(fresh));
        try (Bench bench = Bench.on(fresh)) {
            assertThat(bench.recorded()).containsExactly("before");
            assertThat(bench.ground.told()).isEmpty();
            assertThat(new MediaStore(bench.home.media()).isWhole(leaflet)).isTrue();
        }

        Restore.from(backup, new Home(folder));
        try (Bench bench = Bench.on(folder)) {
            assertThat(bench.recorded()).containsExactly("before");
            bench.record("goes on");
        }
        try (Stream<Path> aside = Files.list(new Home(folder).aside())) {
            assertThat(aside)
                    .singleElement()
                    .satisfies(kept -> assertThat(kept).isDirectoryContaining("glob:**.mv.db"));
        }
        assertThat(Check.of(new Home(folder)).faults()).isEmpty();
    }

    @Test
    void backupTakenWhileOthersRecordIsOfOneMoment() throws Exception {
        AtomicBoolean enough = new AtomicBoolean();
        ExecutorService others = Executors.newSingleThreadExecutor();
        try (Bench bench = Bench.on(folder)) {
            Future<Integer> recorded = others.submit(() -> {
                int count = 0;
                while (!enough.get()) {
                    bench.record(java.util.List.of("a" + count, "b" + count));
                    count++;
                    if (count % 40 == 0) {
                        try (Connection connection = bench.data.getConnection()) {
                            bench.ground.ledger().makeBase(connection);
                        }
                    }
                }
                return count;
            });
            for (int i = 0; i < 4; i++) {
                Path backup = folder.resolve("b" + i + ".zip");
                Backup.whole(bench.home, backup);
                Path there = EscrelServer.folder();
                Restore.from(backup, new Home(there));
                try (Bench again = Bench.on(there)) {
                    // both halves of each transaction or neither
                    assertThat(again.recorded().size() % 2).isZero();
                }
            }
            enough.set(true);
            assertThat(recorded.get()).isPositive();
        } finally {
            others.shutdownNow();
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 10, 50, 90, 99})
    void backupCutOffInTheMiddleIsRefusedAndNothingChanges(int percent) throws Exception {
        Path backup = folder.resolve("b.zip");
        try (Bench bench = Bench.on(folder)) {
            bench.record("there");
            document(bench, "words");
            Backup.whole(bench.home, backup);
        }
        try (RandomAccessFile file = new RandomAccessFile(backup.toFile(), "rw")) {
            file.setLength(file.length() * percent / 100);
        }
        assertThatThrownBy(() -> Restore.from(backup, new Home(folder)))
                .isInstanceOf(GroundException.class)
                .hasMessageContaining("Nothing was changed");
        try (Bench bench = Bench.on(folder)) {
            assertThat(bench.recorded()).containsExactly("there");
        }
    }

    @Test
    void restoreInterruptedWhileItLaysGoesOnAtTheNextStart() throws Exception {
        Path backup = folder.resolve("b.zip");
        try (Bench bench = Bench.on(folder)) {
            bench.record("in the backup");
            Backup.whole(bench.home, backup);
            bench.record("later");
        }
        Path there = EscrelServer.folder();
        Restore.from(backup, new Home(there));
        // as it stood between the second and the third move
        Home home = new Home(folder);
        Path unpacked = Files.createDirectory(folder.resolve("restoring"));
        Files.copy(new Home(there).database(), unpacked.resolve("escrel.mv.db"));
        Bench.copyOf(new Home(there).journal(), unpacked.resolve("journal"));
        Files.writeString(folder.resolve("restore-ready"), "before-restore-x");
        Files.createDirectories(home.aside().resolve("before-restore-x"));

        try (Bench bench = Bench.on(folder)) {
            assertThat(bench.recorded()).containsExactly("in the backup");
        }
        assertThat(folder.resolve("restore-ready")).doesNotExist();
        assertThat(unpacked).doesNotExist();
    }

    @Test
    void checkNamesWhatIsMissingOrDamaged() throws Exception {
        String lost;
        String spoilt;
        try (Bench bench = Bench.on(folder)) {
            lost = document(bench, "lost");
            spoilt = document(bench, "spoilt!");
            document(bench, "well there");
            assertThat(Check.of(bench.home).faults()).as("while it runs").isEmpty();
        }
        MediaStore media = new MediaStore(new Home(folder).media());
        Files.delete(media.path(lost));
        Files.writeString(media.path(spoilt), "other words");

        Check.Found found = Check.of(new Home(folder));

        assertThat(found.faults()).hasSize(2).anySatisfy(f -> assertThat(f).contains("missing", lost));
        assertThat(found.faults()).anySatisfy(f -> assertThat(f).contains("damaged", spoilt));
        assertThat(found.lines()).anySatisfy(l -> assertThat(l).contains("1 of 3 there and whole"));
        assertThatThrownBy(() -> Backup.whole(new Home(folder), folder.resolve("b.zip")))
                .isInstanceOf(GroundException.class)
                .hasMessageContaining("missing or damaged");
    }

    @Test
    void oldBackupsGoAndTheMediaOnlyTheyNeeded() throws Exception {
        Path away = folder.resolve("away");
        String once;
        try (Bench bench = Bench.on(folder)) {
            once = document(bench, "only in the first");
            Files.move(Backup.beside(bench.home, away).file(), away.resolve("escrel-20200101-000000.zip"));
            try (Connection connection = bench.data.getConnection();
                    var statement = connection.createStatement()) {
                statement.executeUpdate("delete from sheet_document");
            }
            String stays = document(bench, "in the second");
            Backup.beside(bench.home, away);
            Files.setLastModifiedTime(
                    new MediaStore(away.resolve("media")).path(once), java.nio.file.attribute.FileTime.fromMillis(0));

            assertThat(Backup.keepNewest(away, 1)).isEqualTo(1);

            assertThat(Backup.all(away)).hasSize(1);
            assertThat(new MediaStore(away.resolve("media")).names()).containsExactly(stays);
            assertThat(new MediaStore(bench.home.media()).has(once)).isTrue();
        }
    }
}
