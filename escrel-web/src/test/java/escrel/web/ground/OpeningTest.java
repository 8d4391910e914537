package escrel.web.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.web.disk.Disk;
import escrel.web.testing.EscrelServer;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.lang.reflect.Proxy;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What was acknowledged is there, whatever became of the files; what cannot be put right is said plainly. */
class OpeningTest {
    private Path folder;

    @BeforeEach
    void aFolder() {
        folder = EscrelServer.folder();
    }

    private static List<String> names(int count) {
        return IntStream.rangeClosed(1, count).mapToObj("%03d"::formatted).toList();
    }

    private void fill(int count) throws SQLException {
        try (Bench bench = Bench.on(folder)) {
            for (String name : names(count)) {
                bench.record(name);
            }
        }
    }

    @Test
    void whatWasRecordedIsThereAfterAKillAndNothingElse() throws SQLException {
        Path killed = EscrelServer.folder();
        try (Bench bench = Bench.on(folder)) {
            for (String name : names(20)) {
                bench.record(name);
            }
            try (Connection open = bench.data.getConnection()) {
                open.setAutoCommit(false);
                Bench.insert(open, "never committed");
                Bench.copyOf(folder, killed);
                open.rollback();
            }
        }
        try (Bench again = Bench.on(killed)) {
            assertThat(again.recorded()).isEqualTo(names(20));
            again.record("more");
        }
        try (Bench again = Bench.on(killed)) {
            assertThat(again.recorded()).contains("020", "more");
            assertThat(again.ground.told()).isEmpty();
        }
    }

    @Test
    void transactionIsThereWholeOrNotAtAll() throws SQLException {
        Path killed = EscrelServer.folder();
        try (Bench bench = Bench.on(folder)) {
            bench.record(List.of("a", "b", "c"));
            Bench.copyOf(folder, killed);
        }
        // the last entry of the journal did not reach the disk to its end
        Path journal = Segment.files(new Home(killed).journal()).get(0);
        cutLastEntry(journal);
        delete(new Home(killed).database());
        try (Bench again = Bench.on(killed)) {
            assertThat(again.recorded()).isEmpty();
            again.record("d");
            assertThat(again.recorded()).containsExactly("d");
        }
    }

    private static void cutLastEntry(Path journal) {
        try (RandomAccessFile file = new RandomAccessFile(journal.toFile(), "rw")) {
            String text = Files.readString(journal, StandardCharsets.UTF_8);
            int end = text.lastIndexOf('\n');
            file.seek(end - 5);
            file.write(new byte[6]);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void delete(Path file) {
        try {
            Files.delete(file);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 20, 45, 70, 90, 98})
    void databaseCutShortIsNoticedAndMadeAnew(int percent) throws Exception {
        fill(40);
        Path database = new Home(folder).database();
        try (RandomAccessFile file = new RandomAccessFile(database.toFile(), "rw")) {
            file.setLength(file.length() * percent / 100);
        }
        try (Bench again = Bench.on(folder)) {
            assertThat(again.recorded()).isEqualTo(names(40));
            assertThat(again.ground.told()).isNotEmpty();
        }
        try (Bench again = Bench.on(folder)) {
            assertThat(again.ground.told()).as("it is told once").isEmpty();
        }
    }

    @Test
    void databaseThatIsGoneIsMadeAnewAndTheOldCopyIsNoWayBackInSilence() throws Exception {
        fill(5);
        Path old = folder.resolve("old-copy");
        Files.copy(new Home(folder).database(), old);
        try (Bench bench = Bench.on(folder)) {
            bench.record("later");
        }
        Files.delete(new Home(folder).database());
        try (Bench again = Bench.on(folder)) {
            assertThat(again.recorded()).contains("001", "later");
            assertThat(again.ground.told()).anySatisfy(t -> assertThat(t).contains("was gone"));
        }
        Files.copy(old, new Home(folder).database(), java.nio.file.StandardCopyOption.REPLACE_EXISTING);
        try (Bench again = Bench.on(folder)) {
            assertThat(again.recorded()).contains("001", "later");
            assertThat(again.ground.told()).isNotEmpty();
        }
    }

    @Test
    void databaseOfAnotherFolderIsNotTaken() throws Exception {
        fill(5);
        Path other = EscrelServer.folder();
        try (Bench bench = Bench.on(other)) {
            bench.record("from elsewhere");
            bench.record("and more");
        }
        Files.copy(
                new Home(other).database(),
                new Home(folder).database(),
                java.nio.file.StandardCopyOption.REPLACE_EXISTING);

        assertThatThrownBy(() -> Bench.on(folder))
                .isInstanceOf(GroundException.class)
                .hasMessageContaining("do not belong together")
                .hasMessageContaining("./escrel restore");
    }

    @Test
    void folderWithoutDatabaseAndJournalButWithMediaIsNotBegunAnew() throws Exception {
        try (Bench bench = Bench.on(folder)) {
            bench.record("a");
        }
        new escrel.web.media.MediaStore(new Home(folder).media()).keep(new byte[] {1, 2, 3});
        Files.delete(new Home(folder).database());
        Disk.deleteAll(new Home(folder).journal());

        assertThatThrownBy(() -> Bench.on(folder))
                .isInstanceOf(GroundException.class)
                .hasMessageContaining("is gone")
                .hasMessageContaining("1 photos and recordings are still there");
    }

    @Test
    void damagedJournalIsSaidAndTheWholeDatabaseGoesOn() throws Exception {
        fill(8);
        Path journal = Segment.files(new Home(folder).journal()).get(0);
        String text = Files.readString(journal, StandardCharsets.UTF_8);
        try (RandomAccessFile file = new RandomAccessFile(journal.toFile(), "rw")) {
            file.seek(text.indexOf("004") + 1);
            file.write('9');
        }
        try (Bench again = Bench.on(folder)) {
            assertThat(again.recorded()).isEqualTo(names(8));
            assertThat(again.ground.told()).singleElement().asString().contains("journal ended before");
            again.record("goes on");
        }
        Files.delete(new Home(folder).database());
        try (Bench again = Bench.on(folder)) {
            assertThat(again.recorded()).contains("008", "goes on");
        }
    }

    @Test
    void commitThatFailsIsNotDoneAgainByTheJournal() throws Exception {
        Path killed = EscrelServer.folder();
        try (Bench bench = Bench.on(folder)) {
            bench.record("before");
            long before = bench.ground.ledger().sinceBase();
            try (Connection real = DriverManager.getConnection(bench.ground.url(), "sa", "")) {
                real.setAutoCommit(false);
                Connection failing = (Connection) Proxy.newProxyInstance(
                        getClass().getClassLoader(), new Class<?>[] {Connection.class}, (proxy, method, args) -> {
                            if (method.getName().equals("commit")) {
                                throw new SQLException("refused at the end");
                            }
                            return method.invoke(real, args);
                        });
                Change change =
                        new Change("insert into setting (name, given) values (?, ?)", List.of("refused", "at the end"));
                assertThatThrownBy(() -> bench.ground.ledger().commit(failing, List.of(change)))
                        .hasMessage("refused at the end");
                real.rollback();
            }
            assertThat(bench.ground.ledger().sinceBase())
                    .as("it was in the journal when the commit failed")
                    .isGreaterThan(before + 100);
            bench.record("after");
            Bench.copyOf(folder, killed);
        }
        delete(new Home(killed).database());
        try (Bench again = Bench.on(killed)) {
            assertThat(again.recorded()).containsExactly("after", "before");
        }
    }

    @Test
    void withoutRoomNothingIsRecordedAndReadingGoesOn() throws Exception {
        fill(3);
        try (Bench full = Bench.keepingFree(folder, Long.MAX_VALUE)) {
            assertThatThrownBy(() -> full.record("too much"))
                    .isInstanceOf(NoRoomException.class)
                    .hasMessageContaining("disk is full");
            assertThat(full.recorded()).isEqualTo(names(3));
        }
        try (Bench roomy = Bench.on(folder)) {
            roomy.record("now");
            assertThat(roomy.recorded()).contains("now").doesNotContain("too much");
        }
    }

    @Test
    void whatTheJournalRefusesIsNotInTheDatabaseEither() throws Exception {
        fill(3);
        try (Bench bench = Bench.on(folder)) {
            bench.ground.ledger().close();
            try (Connection connection = bench.data.getConnection()) {
                connection.setAutoCommit(false);
                Bench.insert(connection, "refused");
                assertThatThrownBy(connection::commit).isInstanceOf(NoRoomException.class);
                // as a transaction manager leaves a connection after a commit that failed
                connection.setAutoCommit(true);
            }
            assertThat(bench.recorded()).isEqualTo(names(3));
        }
        try (Bench again = Bench.on(folder)) {
            assertThat(again.recorded()).isEqualTo(names(3));
        }
    }

    @Test
    void newBaseMakesOldEntriesNeedlessAndLosesNone() throws Exception {
        try (Bench bench = Bench.on(folder)) {
            for (String name : names(30)) {
                bench.record(name);
                if (name.endsWith("0")) {
                    try (Connection connection = bench.data.getConnection()) {
                        bench.ground.ledger().makeBase(connection);
                    }
                }
            }
            bench.record("last");
        }
        assertThat(Segment.files(new Home(folder).journal())).hasSize(1);
        assertThat(Base.newestFirst(new Home(folder).journal())).hasSize(1);
        Files.delete(new Home(folder).database());
        try (Bench again = Bench.on(folder)) {
            assertThat(again.recorded()).hasSize(31).contains("last");
        }
    }

    @Test
    void folderInUseIsFileOrUnwritableIsSaidPlainly() throws Exception {
        try (Bench bench = Bench.on(folder)) {
            assertThatThrownBy(() -> Bench.on(bench.home.folder()))
                    .isInstanceOf(GroundException.class)
                    .hasMessageContaining("Another Escrel has this folder open");
        }
        Path file = Files.writeString(folder.resolve("a-file"), "x");
        assertThatThrownBy(() -> Bench.on(file)).hasMessageContaining("is a file, not a folder");
    }
}
