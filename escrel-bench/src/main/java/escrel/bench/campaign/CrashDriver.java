package escrel.bench.campaign;

import escrel.web.ground.Ground;
import escrel.web.ground.Home;
import escrel.web.ground.JournalledDataSource;
import escrel.web.ground.Opening;
import escrel.web.media.MediaStore;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Random;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.SimpleDriverDataSource;

/**
 * Records acts on a folder through the ground the application stands on, and says so after each: what is on its output was
 * acknowledged. Watched by the one that cuts the power.
 */
public final class CrashDriver {
    private CrashDriver() {}

    /**
     * Runs it.
     *
     * @param args folder, number of acts, seed
     */
    public static void main(String[] args) throws SQLException, IOException {
        int acts = Integer.parseInt(args[1]);
        Random random = new Random(Long.parseLong(args[2]));
        Home home = new Home(Path.of(args[0]));
        Ground ground = Opening.open(home, Opening.Kind.REAL, 0);
        MediaStore media = new MediaStore(home.media());
        DataSource pool = new SimpleDriverDataSource(DriverManager.getDriver(ground.url()), ground.url(), "sa", "");
        try (JournalledDataSource data = new JournalledDataSource(pool, () -> {}, ground);
                // as the pool of the application keeps one open
                Connection keep = pool.getConnection()) {
            for (int act = 1; act <= acts; act++) {
                try (Connection connection = data.getConnection()) {
                    connection.setAutoCommit(false);
                    String medium = media.keep(bytes(random));
                    for (int part = 0; part < 2; part++) {
                        record(connection, act, part, medium, random);
                    }
                    connection.commit();
                }
                System.out.println("ack " + act);
                System.out.flush();
                if (act % 60 == 0) {
                    try (Connection connection = data.getConnection()) {
                        ground.ledger().makeBase(connection);
                    }
                }
            }
            if (keep.isClosed()) {
                throw new SQLException("the connection kept open was closed");
            }
        }
    }

    private static void record(Connection connection, int act, int part, String medium, Random random)
            throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement("""
                insert into sheet_document (calibre, number, title, source, media_type, body, added_at)
                values ('crash', ?, ?, ?, 'text/plain', ?, timestamp with time zone '2026-01-01 00:00:00+00')""")) {
            statement.setInt(1, 2 * act + part);
            statement.setString(2, "act " + act);
            statement.setString(3, "x".repeat(1 + random.nextInt(190)));
            statement.setString(4, medium);
            statement.executeUpdate();
        }
    }

    private static byte[] bytes(Random random) {
        return ("medium " + random.nextLong()).repeat(1 + random.nextInt(900)).getBytes(StandardCharsets.UTF_8);
    }
}
