package escrel.web.ground;

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

    private final DataSource pool;
    private final Ledger ledger;
    private final Closeable whenClosed;

    /**
     * Connections of a pool.
     *
     * @param whenClosed called once the pool has been closed
     */
    public JournalledDataSource(DataSource pool, Ledger ledger, Closeable whenClosed) {
        this.pool = pool;
        this.ledger = ledger;
        this.whenClosed = whenClosed;
    }

    @Override
    public Connection getConnection() throws SQLException {
        return new Watched(pool.getConnection()).proxy();
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
            ledger.commit(real, all);
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
                return call(statement, method, args);
            }
            boolean alone = real.getAutoCommit();
            if (alone) {
                real.setAutoCommit(false);
            }
            try {
                Object result = call(statement, method, args);
                changes.add(new Change(sql, new ArrayList<>(values.values())));
                if (alone) {
                    commit();
                }
                return result;
            } finally {
                if (alone) {
                    changes.clear();
                    real.rollback();
                    real.setAutoCommit(true);
                }
            }
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
        whenClosed.close();
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
