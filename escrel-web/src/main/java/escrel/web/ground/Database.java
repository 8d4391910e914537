package escrel.web.ground;

import escrel.web.disk.Disk;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import tools.jackson.core.JacksonException;

/** One database file, opened by itself, before and beside the application's own connections. */
final class Database implements AutoCloseable {
    /** How far a database has come, and the hash of the journal's entry there. */
    record Position(long number, String hash) {}

    private static final int APPLIED_AT_ONCE = 500;

    private final Connection connection;

    private Database(Connection connection) {
        this.connection = connection;
    }

    static String url(Path file) {
        String name = file.toAbsolutePath().toString();
        // written at every commit and at no other time: a disk that others fill up later finds nothing left to be
        // written
        return "jdbc:h2:file:" + name.substring(0, name.length() - Home.ENDING.length())
                + ";DB_CLOSE_ON_EXIT=FALSE;WRITE_DELAY=0;TRACE_LEVEL_FILE=0";
    }

    /** Opens a file that is there. */
    static Database open(Path file) throws SQLException {
        return new Database(DriverManager.getConnection(url(file) + ";IFEXISTS=TRUE", "sa", ""));
    }

    /** Begins a file with every table as it is now, as {@code db/first.sql} writes them. */
    static Database begin(Path file) throws SQLException {
        Database database = new Database(DriverManager.getConnection(url(file), "sa", ""));
        try (Statement statement = database.connection.createStatement()) {
            statement.execute("runscript from 'classpath:/db/first.sql' charset 'UTF-8'");
        } catch (SQLException e) {
            database.close();
            throw e;
        }
        return database;
    }

    /** On a connection that somebody else closes. */
    static Database on(Connection connection) {
        return new Database(connection);
    }

    Connection connection() {
        return connection;
    }

    /** Where it stands in the journal; nothing for one of a version that kept no journal. */
    Optional<Position> position() throws SQLException {
        if (!has("GROUND")) {
            return Optional.empty();
        }
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("select position, hash from ground")) {
            return row.next() ? Optional.of(new Position(row.getLong(1), row.getString(2))) : Optional.empty();
        }
    }

    boolean has(String table) throws SQLException {
        return tables().contains(table.toUpperCase(java.util.Locale.ROOT));
    }

    private List<String> tables() throws SQLException {
        List<String> tables = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("""
                        select upper(table_name) from information_schema.tables
                        where table_schema = 'PUBLIC' and table_type = 'BASE TABLE' order by 1""")) {
            while (rows.next()) {
                tables.add(rows.getString(1));
            }
        }
        return tables;
    }

    /** Without what the migrations keep of themselves. */
    private List<String> ownTables() throws SQLException {
        List<String> own = new ArrayList<>(tables());
        own.remove("FLYWAY_SCHEMA_HISTORY");
        return own;
    }

    /**
     * Reads every value of every table: what is torn shows here. All columns are asked for, since some alone could be read from
     * an index, beside the rows.
     */
    void readThrough() throws SQLException {
        for (String table : ownTables()) {
            String read = columns(table).stream()
                    .map(c -> "coalesce(" + (c.large() ? c.hash() : "char_length(" + c.asText() + ")") + ", 0)")
                    .collect(Collectors.joining(" + "));
            sumOver(table, read);
        }
    }

    /** Number of rows and a sum over all values for each table; equal tables give equal ones. */
    Map<String, String> sums() throws SQLException {
        Map<String, String> sums = new LinkedHashMap<>();
        for (String table : ownTables()) {
            String hashes = columns(table).stream()
                    .map(c -> "coalesce(" + c.hash() + ", 7)")
                    .collect(Collectors.joining(" * 31 + "));
            sums.put(table, sumOver(table, hashes));
        }
        return sums;
    }

    private String sumOver(String table, String value) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery(
                        "select count(*), coalesce(sum(cast(" + value + " as decfloat)), 0) from \"" + table + "\"")) {
            row.next();
            return row.getLong(1) + " " + row.getBigDecimal(2).toPlainString();
        }
    }

    /**
     * A column of a table.
     *
     * @param large whether its values lie beside the rows
     */
    private record Column(String name, boolean large) {
        String asText() {
            return large ? '"' + name + '"' : "cast(\"" + name + "\" as varchar)";
        }

        String hash() {
            return "ora_hash(" + asText() + ")";
        }
    }

    private List<Column> columns(String table) throws SQLException {
        List<Column> columns = new ArrayList<>();
        try (PreparedStatement statement = connection.prepareStatement("""
                select column_name, data_type like '%LARGE OBJECT' from information_schema.columns
                where table_schema = 'PUBLIC' and table_name = ? order by ordinal_position""")) {
            statement.setString(1, table);
            try (ResultSet rows = statement.executeQuery()) {
                while (rows.next()) {
                    columns.add(new Column(rows.getString(1), rows.getBoolean(2)));
                }
            }
        }
        return columns;
    }

    /** Jobs that do not have as many steps as they should, in words; none when all is well. */
    List<String> gaps() throws SQLException {
        List<String> gaps = new ArrayList<>();
        if (!has("JOB") || !has("STEP")) {
            return List.of("there are no jobs in it, not even a table for them");
        }
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("""
                        select j.number, j.last_sequence, count(s.sequence), coalesce(max(s.sequence), 0)
                        from job j left join step s on s.job = j.number
                        group by j.number, j.last_sequence
                        having count(s.sequence) <> j.last_sequence
                            or coalesce(max(s.sequence), 0) <> j.last_sequence
                        order by 1""")) {
            while (rows.next()) {
                gaps.add("job %d should have %d steps and has %d"
                        .formatted(rows.getInt(1), rows.getInt(2), rows.getInt(3)));
            }
        }
        return gaps;
    }

    /**
     * Does again what the journal says after an entry.
     *
     * @return how many entries there were
     */
    int apply(Journal.Read journal, long after) throws IOException, SQLException {
        connection.setAutoCommit(false);
        int[] applied = {0};
        journal.<SQLException>after(after, entry -> {
            if (!journal.isVoid(entry)) {
                apply(entry);
            }
            moveTo(connection, entry);
            if (++applied[0] % APPLIED_AT_ONCE == 0) {
                connection.commit();
            }
        });
        connection.commit();
        connection.setAutoCommit(true);
        return applied[0];
    }

    private void apply(Entry entry) throws SQLException {
        for (Change change : changes(entry)) {
            try (PreparedStatement statement = connection.prepareStatement(change.sql())) {
                for (int i = 0; i < change.values().size(); i++) {
                    statement.setObject(i + 1, change.values().get(i));
                }
                statement.executeUpdate();
            }
        }
    }

    private static List<Change> changes(Entry entry) throws SQLException {
        try {
            return entry.changes();
        } catch (JacksonException e) {
            throw new SQLException("entry %d of the journal cannot be read".formatted(entry.number()), e);
        }
    }

    static void moveTo(Connection connection, Entry entry) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement("update ground set position = ?, hash = ?")) {
            statement.setLong(1, entry.number());
            statement.setString(2, entry.hash());
            if (statement.executeUpdate() != 1) {
                throw new SQLException("the database has lost its place in the journal");
            }
        }
    }

    /** Writes the whole file, as of one moment, into a ZIP; others may go on writing. */
    static void snapshot(Connection connection, Path zip) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute("backup to '" + zip.toAbsolutePath().toString().replace("'", "''") + "'");
        }
    }

    /** Takes a snapshot out of its ZIP again. */
    static void unpack(Path zip, Path file) throws IOException {
        try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
            ZipEntry entry = in.getNextEntry();
            while (entry != null && !entry.getName().endsWith(Home.ENDING)) {
                entry = in.getNextEntry();
            }
            if (entry == null) {
                throw new IOException("it holds no database");
            }
            copy(in, file);
        }
        Disk.sync(file);
    }

    private static void copy(InputStream in, Path file) throws IOException {
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
            in.transferTo(out);
        }
    }

    /** Number of the newest migration that was done; 0 for none. */
    int version() throws SQLException {
        if (!tables().stream().anyMatch(t -> t.equalsIgnoreCase("flyway_schema_history"))) {
            return 0;
        }
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("""
                        select coalesce(max(cast("version" as int)), 0) from "flyway_schema_history"
                        where "success" and "version" is not null""")) {
            row.next();
            return row.getInt(1);
        }
    }

    /** Says what the workshop is for. */
    void mark(Opening.Kind kind) throws SQLException {
        try (PreparedStatement statement =
                connection.prepareStatement("insert into setting (name, given) values ('kind', ?)")) {
            statement.setString(1, kind.name());
            statement.executeUpdate();
        }
    }

    /** What the workshop is for; a real one where it does not say. */
    Opening.Kind kind() throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("select given from setting where name = 'kind'")) {
            return row.next() ? Opening.Kind.valueOf(row.getString(1)) : Opening.Kind.REAL;
        }
    }

    /** Closes it with everything in the file. */
    void shutDown() throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute("shutdown compact");
        }
    }

    @Override
    public void close() throws SQLException {
        connection.close();
    }
}
