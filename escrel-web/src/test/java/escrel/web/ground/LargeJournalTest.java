package escrel.web.ground;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A day of large imports leaves a journal that does not fit into memory: the next start reads it all the same. */
@Tag("long")
class LargeJournalTest {
    private static final int ENTRIES = 50;
    private static final int LARGE = 900_000;

    private final Path folder = EscrelServer.folder();

    /** Opens a folder and says how many acts there are. */
    public static void main(String[] args) throws SQLException {
        try (Bench bench = Bench.on(Path.of(args[0]));
                Connection connection = bench.data.getConnection();
                PreparedStatement count = connection.prepareStatement("select count(*) from workshop_act");
                ResultSet row = count.executeQuery()) {
            row.next();
            System.out.println("acts: " + row.getInt(1));
        }
    }

    private void fill() throws SQLException {
        try (Bench bench = Bench.on(folder);
                Connection connection = bench.data.getConnection()) {
            for (int act = 1; act <= ENTRIES; act++) {
                try (PreparedStatement insert = connection.prepareStatement(
                        "insert into workshop_act (sequence, recorded_at, kind, body) values (?, now(), 'test', ?)")) {
                    insert.setInt(1, act);
                    insert.setString(2, "x".repeat(LARGE));
                    insert.executeUpdate();
                }
            }
        }
    }

    @Test
    void isReadInLessMemoryThanItIsLong() throws IOException, InterruptedException, SQLException {
        fill();
        Files.delete(new Home(folder).database());

        Process opening = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx48m",
                        "-cp",
                        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                        LargeJournalTest.class.getName(),
                        folder.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(opening.getInputStream().readAllBytes(), StandardCharsets.UTF_8);

        assertThat(opening.waitFor()).as(said).isZero();
        assertThat(said).contains("acts: " + ENTRIES);
    }
}
