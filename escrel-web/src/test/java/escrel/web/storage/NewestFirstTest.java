package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.scripting.defaults.DefaultParameterHandler;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What asks for the newest few reads those few. H2 says itself how it would go about a question: "index sorted" means that it
 * stops at the limit instead of reading and sorting whatever there is.
 */
class NewestFirstTest {
    private static final EscrelServer SERVER = EscrelServer.empty();
    private static final int JOBS = 400;

    /** Four hundred jobs of two calibres: with a handful any plan would do. */
    @BeforeAll
    static void fill() throws SQLException {
        try (Connection connection = connection();
                Statement statement = connection.createStatement()) {
            statement.execute("set referential_integrity false");
            for (String table : new String[] {
                """
                job (number, opened_at, changed_at, last_sequence, watch, owner, calibre, sheet_version, stage, next_act, identity)
                select x, dateadd(minute, x, now()), now(), 1, 'w' || mod(x, 50), 'o', 'c-' || mod(x, 2), 1, 'READY', '', 'i' || x
                """,
                "job_learnt (job, taken, times, figures) select x, 'a', 'a', '1'",
                "job_time (job, minutes, parts) select x, 90, 0",
                "job_way (job, at, decision, minutes) select x, 1, 'd-' || mod(x, 2), 5",
                """
                job_copy (job, part, copy, origin, source, size, at_hand, fitted)
                select x, 'p-' || mod(x, 2), 1, 'NEW', '', '', dateadd(minute, x, now()), true
                """,
                """
                job_want (job, want, state, part, what, source, since, price, size, words)
                select x, 'w', casewhen(mod(x, 2) = 0, 'ORDERED', 'OUT'), 'p-' || mod(x, 2), '', '', dateadd(minute, x, now()), 5, '', ''
                """
            }) {
                statement.execute("insert into " + table + " from system_range(1, " + JOBS + ")");
            }
            statement.execute("analyze");
        }
    }

    static Stream<Arguments> questions() {
        return Stream.of(
                Arguments.of("JobLineMapper.figures", Map.of("calibre", "c-1", "except", 7, "most", 5)),
                Arguments.of("JobLineMapper.times", Map.of("calibre", "c-1", "most", 5)),
                Arguments.of("TimeMapper.services", Map.of("calibre", "c-1", "except", 7, "most", 5)),
                Arguments.of("TimeMapper.ways", Map.of("decisions", new String[] {"d-1"}, "most", 5)),
                Arguments.of("SupplyMapper.before", Map.of("calibre", "c-1", "part", "p-1", "except", 7, "most", 5)),
                Arguments.of("SupplyMapper.lastPrice", Map.of("calibre", "c-1", "part", "p-1")),
                Arguments.of(
                        "SupplyMapper.standing",
                        Map.of("groups", List.of(List.of("ORDERED"), List.of("OUT")), "from", 5, "most", 5)),
                Arguments.of(
                        "JobMapper.ofWatch",
                        Map.of(
                                "watch",
                                "w7",
                                "owner",
                                "o",
                                "before",
                                OffsetDateTime.now().plusDays(1),
                                "most",
                                5)));
    }

    @ParameterizedTest
    @MethodSource("questions")
    void readsThoseAndNoMore(String mapper, Map<String, Object> asked) throws SQLException {
        assertThat(plan(mapper, asked)).contains("index sorted").doesNotContain("tableScan");
    }

    private static String plan(String mapper, Map<String, Object> asked) throws SQLException {
        MappedStatement of = SERVER.bean(SqlSessionFactory.class)
                .getConfiguration()
                .getMappedStatement("escrel.web.storage." + mapper);
        Map<String, Object> parameters = new HashMap<>(asked);
        try (Connection connection = connection();
                PreparedStatement statement = connection.prepareStatement(
                        "explain " + of.getBoundSql(parameters).getSql())) {
            new DefaultParameterHandler(of, parameters, of.getBoundSql(parameters)).setParameters(statement);
            try (ResultSet rows = statement.executeQuery()) {
                rows.next();
                return rows.getString(1);
            }
        }
    }

    private static Connection connection() throws SQLException {
        return SERVER.bean(DataSource.class).getConnection();
    }
}
