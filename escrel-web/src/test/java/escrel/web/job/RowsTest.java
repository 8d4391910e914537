package escrel.web.job;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.service.RecordedStep;
import escrel.core.service.TakenBack;
import escrel.web.storage.Sheets;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.transaction.support.TransactionTemplate;

/** What is written with each step, and only where it changes something, is what would be made of the job anew. */
@Tag("long")
class RowsTest {
    private static EscrelServer server;

    @BeforeAll
    static void start() {
        server = EscrelServer.empty();
        for (String calibre : List.of("cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8")) {
            server.bean(Sheets.class).keep(BenchHand.demoSheet(calibre));
        }
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    /** Whole stories of the demo, step by step; now and then one is taken back, or taken back and done again. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 9, 13, 22})
    void sayWhatTheJobSaysAfterEveryStep(int story) throws SQLException {
        Random random = new Random(story);
        Workshop workshop = server.bean(Workshop.class);
        List<RecordedStep> told =
                EscrelServer.demo().bean(Workshop.class).load(story).recorded().recorded();
        int job = workshop.keep(0, told.get(0).at(), told.subList(0, 1));
        for (RecordedStep step : told.subList(1, told.size())) {
            if (!(step.step() instanceof TakenBack)) {
                record(job, new RecordedStep(next(job), step.at(), step.step()));
                for (int back = random.nextInt(8); back > 5 && step.step().canBeTakenBack(); back--) {
                    record(job, new RecordedStep(next(job), step.at(), new TakenBack(next(job) - 1)));
                }
            }
            if (random.nextInt(6) == 0) {
                requireSame(job);
            }
        }
        requireSame(job);
    }

    private static int next(int job) {
        return server.bean(Workshop.class).load(job).sequence() + 1;
    }

    private static void record(int job, RecordedStep step) {
        server.bean(Workshop.class).goOn(job, List.of(step));
    }

    private static void requireSame(int job) throws SQLException {
        List<String> written = rows(job);
        server.bean(TransactionTemplate.class).executeWithoutResult(t -> {
            delete(job);
            server.bean(JobLines.class).add(server.bean(Workshop.class).load(job));
        });
        assertThat(written).isEqualTo(rows(job));
    }

    private static void delete(int job) {
        try (Connection connection = server.bean(DataSource.class).getConnection()) {
            for (String table : List.of("job_line", "job_learnt")) {
                try (PreparedStatement delete =
                        connection.prepareStatement("delete from " + table + " where job = " + job)) {
                    delete.executeUpdate();
                }
            }
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<String> rows(int job) throws SQLException {
        List<String> rows = new ArrayList<>();
        for (String what : List.of(
                "select waits || '|' || open from job_line where job = ",
                "select taken || '|' || times || '|' || figures from job_learnt where job = ",
                "select word from job_word where job = ")) {
            try (Connection connection = server.bean(DataSource.class).getConnection();
                    PreparedStatement select = connection.prepareStatement(what + job + " order by 1");
                    ResultSet row = select.executeQuery()) {
                while (row.next()) {
                    rows.add(row.getString(1));
                }
            }
        }
        return rows;
    }
}
