package escrel.web.ground;

import escrel.web.disk.Disk;
import java.io.Closeable;
import java.io.IOException;
import java.io.PrintWriter;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.logging.Logger;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;

/**
 * Connections whose changes go through the {@link Ledger}: there is no other way into the database. A statement that
 * changes something outside a transaction is a transaction of its own.
 */
public final class JournalledDataSource implements DataSource, Closeable {
    private static final Set<String> READS = Set.of("select", "with", "values", "show", "explain", "call", "backup");

    private static final Set<String> ROWS = Set.of("update", "delete");

    /** H2: the database has been closed, its file cannot be written or read. */
    private static final Set<Integer> CLOSED = Set.of(90_098, 90_121, 90_028, 90_031, 90_030);

    private final DataSource pool;
    private final Runnable letGo;
    private final Ground ground;
    private final Ledger ledger;
    private volatile boolean closed;

    /**
     * Connections of a pool.
     *
     * @param letGo lets the pool close all its connections
     * @param ground closed once the pool has been closed
     */
    public JournalledDataSource(DataSource pool, Runnable letGo, Ground ground) {
        this.pool = pool;
        this.letGo = letGo;
        this.ground = ground;
        this.ledger = ground.ledger();
    }

    @Override
    public Connection getConnection() throws SQLException {
        if (closed) {
            revive();
        }
        return new Watched(pool.getConnection()).proxy();
    }

    /** A database that closed itself, since it could not write, is opened again as soon as it can be. */
    private synchronized void revive() throws SQLException {
        if (!closed) {
            return;
        }
        letGo.run();
        try {
            ground.revive();
            closed = false;
        } catch (SQLException | IOException e) {
            throw new NoRoomException(
                    Disk.isFull(e) ? "the disk is full" : "the database cannot be opened: " + Disk.firstLine(e), e);
        }
    }

    private void note(SQLException e) {
        if (CLOSED.contains(e.getErrorCode())) {
            closed = true;
        }
    }

    @Override
    public Connection getConnection(String user, String password) throws SQLException {
        return getConnection();
    }

    /** A connection with what it changed since the last commit. */
    private final class Watched implements InvocationHandler {
        private final Connection real;
        private final List<Change> changes = new ArrayList<>();

        Watched(Connection real) {
            this.real = real;
        }

        Connection proxy() {
            return (Connection)
                    Proxy.newProxyInstance(getClass().getClassLoader(), new Class<?>[] {Connection.class}, this);
        }

        @Override
        public @Nullable Object invoke(Object proxy, Method method, Object @Nullable [] args) throws Throwable {
            switch (method.getName()) {
                case "commit" -> {
                    commit();
                    return null;
                }
                case "rollback" -> {
                    if (args != null) {
                        throw new UnsupportedOperationException("savepoints are not journalled");
                    }
                    changes.clear();
                }
                case "close" -> changes.clear();
                case "setAutoCommit" -> {
                    if (Boolean.TRUE.equals(args == null ? null : args[0]) && !changes.isEmpty()) {
                        commit();
                    }
                }
                case "prepareStatement" -> {
                    Statement statement = (Statement) Objects.requireNonNull(call(real, method, args));
                    return watch(statement, (String) Objects.requireNonNull(args)[0]);
                }
                case "createStatement" -> {
                    return watch((Statement) Objects.requireNonNull(call(real, method, args)), "");
                }
                default -> {}
            }
            return call(real, method, args);
        }

        private void commit() throws SQLException {
            if (changes.isEmpty()) {
                real.commit();
                return;
            }
            List<Change> all = List.copyOf(changes);
            changes.clear();
            try {
                ledger.commit(real, all);
            } catch (SQLException e) {
                note(e);
                // whoever goes on with this connection would else commit what the journal does not have
                rollBack();
                throw e;
            }
        }

        private void rollBack() {
            try {
                real.rollback();
            } catch (SQLException e) {
                note(e);
            }
        }

        private Object watch(Statement statement, String sql) {
            TreeMap<Integer, @Nullable Object> values = new TreeMap<>();
            InvocationHandler handler = (proxy, method, args) -> {
                String name = method.getName();
                if (name.startsWith("set") && args != null && args.length >= 2 && args[0] instanceof Integer at) {
                    values.put(at, name.equals("setNull") ? null : args[1]);
                } else if (name.equals("addBatch")) {
                    throw new UnsupportedOperationException("batches are not journalled");
                } else if (name.startsWith("execute")) {
                    return execute(statement, method, args, sql, values);
                }
                return call(statement, method, args);
            };
            Class<?> kind = sql.isEmpty() ? Statement.class : PreparedStatement.class;
            return Proxy.newProxyInstance(getClass().getClassLoader(), new Class<?>[] {kind}, handler);
        }

        private @Nullable Object execute(
                Statement statement,
                Method method,
                Object @Nullable [] args,
                String prepared,
                TreeMap<Integer, @Nullable Object> values)
                throws Throwable {
            String sql = prepared.isEmpty() ? (String) Objects.requireNonNull(args)[0] : prepared;
            if (READS.contains(firstWord(sql))) {
                try {
                    return call(statement, method, args);
                } catch (SQLException e) {
                    note(e);
                    throw e;
                }
            }
            // before the database itself runs against the end of the disk
            ledger.requireRoom();
            boolean alone = real.getAutoCommit();
            if (alone) {
                real.setAutoCommit(false);
            }
            try {
                Object result = call(statement, method, args);
                if (!changedNothing(statement, sql)) {
                    changes.add(new Change(sql, new ArrayList<>(values.values())));
                }
                if (alone) {
                    commit();
                }
                return result;
            } catch (SQLException e) {
                note(e);
                throw e;
            } finally {
                if (alone) {
                    changes.clear();
                    end();
                }
            }
        }

        private void end() {
            try {
                real.rollback();
                real.setAutoCommit(true);
            } catch (SQLException e) {
                // the statement's own failure says more than that it cannot be rolled back
                note(e);
            }
        }

        /** What met no row need not be done again by the journal. */
        private static boolean changedNothing(Statement statement, String sql) throws SQLException {
            return ROWS.contains(firstWord(sql)) && statement.getUpdateCount() == 0;
        }

        private static String firstWord(String sql) {
            return sql.strip().split("[\\s(]", 2)[0].toLowerCase(Locale.ROOT);
        }

        private static @Nullable Object call(Object on, Method method, Object @Nullable [] args) throws Throwable {
            try {
                return method.invoke(on, args);
            } catch (InvocationTargetException e) {
                throw e.getCause();
            }
        }
    }

    @Override
    public void close() throws IOException {
        if (pool instanceof Closeable closeable) {
            closeable.close();
        }
        ground.close();
    }

    @Override
    public PrintWriter getLogWriter() throws SQLException {
        return pool.getLogWriter();
    }

    @Override
    public void setLogWriter(PrintWriter out) throws SQLException {
        pool.setLogWriter(out);
    }

    @Override
    public void setLoginTimeout(int seconds) throws SQLException {
        pool.setLoginTimeout(seconds);
    }

    @Override
    public int getLoginTimeout() throws SQLException {
        return pool.getLoginTimeout();
    }

    @Override
    public Logger getParentLogger() {
        return Logger.getLogger("escrel");
    }

    @Override
    public <T> T unwrap(Class<T> type) throws SQLException {
        return pool.unwrap(type);
    }

    @Override
    public boolean isWrapperFor(Class<?> type) throws SQLException {
        return pool.isWrapperFor(type);
    }
}
