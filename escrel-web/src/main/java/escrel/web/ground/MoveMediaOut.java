package escrel.web.ground;

import escrel.web.media.MediaStore;
import java.io.IOException;
import java.io.InputStream;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.jspecify.annotations.Nullable;

/**
 * Version 5: pictures, recordings and documents leave the database; their columns hold the names of the files. What was
 * moved before an interruption is found under its name the next time.
 */
final class MoveMediaOut implements JavaMigration {
    private record Column(String table, String column, boolean required) {}

    private static final Column[] COLUMNS = {
        new Column("photo", "picture", true),
        new Column("photo", "small", true),
        new Column("photo", "full_picture", false),
        new Column("recording", "body", true),
        new Column("sheet_picture", "picture", true),
        new Column("sheet_document", "body", true)
    };

    private final MediaStore media;

    MoveMediaOut(MediaStore media) {
        this.media = media;
    }

    @Override
    public void migrate(Context context) throws SQLException, IOException {
        Connection connection = context.getConnection();
        for (Column column : COLUMNS) {
            move(connection, column);
        }
    }

    private void move(Connection connection, Column c) throws SQLException, IOException {
        String name = c.column() + "_file";
        try (Statement statement = connection.createStatement()) {
            statement.execute("alter table %s add column %s varchar(64)".formatted(c.table(), name));
            statement.execute(
                    "alter table %s add column moving_id bigint generated always as identity".formatted(c.table()));
        }
        long id = next(connection, c, 0);
        while (id > 0) {
            try (PreparedStatement read = connection.prepareStatement(
                            "select %s from %s where moving_id = ?".formatted(c.column(), c.table()));
                    PreparedStatement write = connection.prepareStatement(
                            "update %s set %s = ? where moving_id = ?".formatted(c.table(), name))) {
                read.setLong(1, id);
                try (ResultSet row = read.executeQuery()) {
                    row.next();
                    write.setString(1, kept(row.getBinaryStream(1)));
                }
                write.setLong(2, id);
                write.executeUpdate();
            }
            id = next(connection, c, id);
        }
        try (Statement statement = connection.createStatement()) {
            statement.execute("alter table %s drop column moving_id".formatted(c.table()));
            statement.execute("alter table %s drop column %s".formatted(c.table(), c.column()));
            statement.execute("alter table %s alter column %s rename to %s".formatted(c.table(), name, c.column()));
            if (c.required()) {
                statement.execute("alter table %s alter column %s set not null".formatted(c.table(), c.column()));
            }
        }
    }

    private @Nullable String kept(@Nullable InputStream content) throws IOException {
        if (content == null) {
            return null;
        }
        try (content) {
            return media.keep(content);
        }
    }

    private static long next(Connection connection, Column c, long after) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(
                "select coalesce(min(moving_id), 0) from %s where moving_id > ?".formatted(c.table()))) {
            statement.setLong(1, after);
            try (ResultSet row = statement.executeQuery()) {
                row.next();
                return row.getLong(1);
            }
        }
    }

    @Override
    public MigrationVersion getVersion() {
        return MigrationVersion.fromVersion("5");
    }

    @Override
    public String getDescription() {
        return "media by content";
    }

    @Override
    public @Nullable Integer getChecksum() {
        return null;
    }

    @Override
    public boolean canExecuteInTransaction() {
        return true;
    }
}
