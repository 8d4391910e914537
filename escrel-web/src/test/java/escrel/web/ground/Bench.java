package escrel.web.ground;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.h2.jdbcx.JdbcConnectionPool;

/** An opened folder with connections, as the application has them. */
final class Bench implements AutoCloseable {
    final Home home;
    final Ground ground;
    final JournalledDataSource data;
    private final JdbcConnectionPool pool;

    private Bench(Home home, long reserve) {
        this.home = home;
        this.ground = Opening.open(home, Opening.Kind.REAL, reserve);
        JdbcConnectionPool pool = JdbcConnectionPool.create(ground.url(), "sa", "");
        this.pool = pool;
        this.data = new JournalledDataSource(pool, pool::dispose, ground);
    }

    static Bench on(Path folder) {
        return new Bench(new Home(folder), 0);
    }

    static Bench keepingFree(Path folder, long bytes) {
        return new Bench(new Home(folder), bytes);
    }

    /** Records one thing in a transaction of its own. */
    void record(String name) throws SQLException {
        record(List.of(name));
    }

    /** Records several things in one transaction. */
    void record(List<String> names) throws SQLException {
        try (Connection connection = data.getConnection()) {
            connection.setAutoCommit(false);
            for (String name : names) {
                insert(connection, name);
            }
            connection.commit();
        }
    }

    static void insert(Connection connection, String name) throws SQLException {
        try (PreparedStatement statement =
                connection.prepareStatement("insert into setting (name, given) values (?, ?)")) {
            statement.setString(1, name);
            statement.setString(2, "“" + name + "”\nand ' more");
            statement.executeUpdate();
        }
    }

    List<String> recorded() throws SQLException {
        List<String> names = new ArrayList<>();
        try (Connection connection = data.getConnection();
                Statement statement = connection.createStatement();
                ResultSet rows =
                        statement.executeQuery("select name from setting where name <> 'kind' order by name")) {
            while (rows.next()) {
                names.add(rows.getString(1));
            }
        }
        return names;
    }

    /** The folder as it is on the disk at this moment, as a kill would leave it. */
    static Path copyOf(Path folder, Path to) {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.toList()) {
                Path copy = to.resolve(folder.relativize(file).toString());
                if (Files.isDirectory(file)) {
                    Files.createDirectories(copy);
                } else {
                    Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING);
                }
            }
            return to;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        try {
            pool.dispose();
            data.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
