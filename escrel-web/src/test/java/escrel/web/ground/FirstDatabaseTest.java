package escrel.web.ground;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.media.MediaStore;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Objects;
import java.util.stream.Collectors;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A new workshop's database is what the migrations of all versions make of nothing. After a new migration the first test
 * says what {@code db/first.sql} has to become: it writes it to {@code target/first.sql}.
 */
class FirstDatabaseTest {
    private static final String FIRST = "/db/first.sql";

    /** A database as statements; when and how fast a migration was done is left out. */
    private static String script(Connection connection) throws SQLException {
        StringBuilder lines = new StringBuilder();
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("script nopasswords nosettings")) {
            while (rows.next()) {
                lines.append(rows.getString(1)).append('\n');
            }
        }
        return lines.toString()
                .replaceAll("TIMESTAMP '[0-9-]+ [0-9:.]+', \\d+, TRUE", "CURRENT_TIMESTAMP, 0, TRUE")
                .lines()
                .filter(l -> !l.startsWith("--") && !l.startsWith("CREATE USER"))
                .collect(Collectors.joining("\n", "", "\n"));
    }

    private static String migrated(Path folder) throws SQLException {
        Path file = folder.resolve("migrated.mv.db");
        Flyway.configure()
                .dataSource(Database.url(file), "sa", "")
                .locations("classpath:db/migration")
                .javaMigrations(new MoveMediaOut(new MediaStore(folder.resolve("media"))))
                .load()
                .migrate();
        try (Connection connection = DriverManager.getConnection(Database.url(file), "sa", "")) {
            return script(connection);
        }
    }

    private static String first() throws IOException {
        try (InputStream in = Objects.requireNonNull(FirstDatabaseTest.class.getResourceAsStream(FIRST))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void isWhatTheMigrationsMake(@TempDir Path folder) throws SQLException, IOException {
        String wanted = migrated(folder);
        Files.writeString(Path.of("target", "first.sql"), wanted);

        assertThat(first()).isEqualTo(wanted);
    }

    @Test
    void saysTheSameOfItselfAsItsScript(@TempDir Path folder) throws SQLException, IOException {
        try (Database begun = Database.begin(folder.resolve("begun.mv.db"))) {
            assertThat(script(begun.connection())).isEqualTo(first());
            assertThat(begun.version()).isEqualTo(Migrations.NEWEST);
        }
    }

    /** The migrations of a later version will find it as they would have found one they made themselves. */
    @Test
    void migrationsHaveNothingMoreToDoOnIt(@TempDir Path folder) throws SQLException {
        Path file = folder.resolve("begun.mv.db");
        Database.begin(file).close();

        Flyway flyway = Flyway.configure()
                .dataSource(Database.url(file), "sa", "")
                .locations("classpath:db/migration")
                .javaMigrations(new MoveMediaOut(new MediaStore(folder.resolve("media"))))
                .load();

        assertThat(flyway.migrate().migrationsExecuted).isZero();
        assertThat(flyway.validateWithResult().validationSuccessful).isTrue();
    }
}
