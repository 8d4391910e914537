package escrel.web.supply;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A parts desk with more on it than one looks at: what is waited for is not buried under what is to be done. */
class DeskOfManyTest {
    private static final EscrelServer SERVER = EscrelServer.empty();
    private static final int TO_ORDER = 45;
    private static final int ORDERED = 30;
    private static final int LATE = 14;

    private final Visitor visitor = new Visitor(SERVER.url());

    @BeforeAll
    static void want() throws SQLException {
        Visitor first = new Visitor(SERVER.url());
        first.openJob("Watch of many wants", "");
        first.openJob("Watch of one want", "");
        try (Connection connection = SERVER.bean(DataSource.class).getConnection()) {
            for (int i = 1; i <= TO_ORDER; i++) {
                insert(connection, 1, "t" + i, "TO_ORDER", OffsetDateTime.now(), null);
            }
            for (int i = 1; i <= ORDERED; i++) {
                LocalDate promised = LocalDate.now().plusDays(i <= LATE ? -i : i);
                insert(
                        connection,
                        i == ORDERED ? 2 : 1,
                        "o" + i,
                        "ORDERED",
                        OffsetDateTime.now().minusDays(10 + i),
                        promised);
            }
        }
    }

    @AfterAll
    static void close() {
        SERVER.close();
    }

    private static void insert(
            Connection connection, int job, String want, String state, OffsetDateTime since, LocalDate promised)
            throws SQLException {
        try (PreparedStatement insert = connection.prepareStatement("""
                insert into job_want (job, want, state, part, what, source, since, expected, price, size, words)
                values (?, ?, ?, null, ?, '', ?, ?, 2, '', '')""")) {
            insert.setInt(1, job);
            insert.setString(2, want);
            insert.setString(3, state);
            insert.setString(4, "Thing " + want + ".");
            insert.setObject(5, since);
            insert.setString(6, promised == null ? null : promised.toString());
            insert.execute();
        }
    }

    private static int lanes(String page) {
        return page.split("class=\"lane\"|class=\"lane late\"", -1).length - 1;
    }

    private String follow(String page, String words) {
        Matcher link = Pattern.compile("href=\"([^\"]+)\"[^>]*>" + words).matcher(page);
        assertThat(link.find()).as(words).isTrue();
        return visitor.get(link.group(1).replace("&amp;", "&")).body();
    }

    /** Three more are late than stand on the first look: the figures are of all of them. */
    @Test
    void figuresAreOfAllThingsWhateverIsShown() {
        String page = visitor.get("/parts").body();

        assertThat(lanes(page)).isLessThan(TO_ORDER);
        assertThat(page)
                .contains("30 things are waited for, for 2 watches, the longest for 40 days (job 2); 14 are late")
                .contains("on order for 60")
                .contains("Thing t1.", "Thing o14.");
    }

    @Test
    void everyThingIsReachedHeadingByHeading() {
        String waited = follow(visitor.get("/parts").body(), "all 30 of these");
        assertThat(lanes(waited)).isEqualTo(ORDERED);
        assertThat(waited).contains("Thing o30.").doesNotContain("Thing t1.");

        String toDo = follow(visitor.get("/parts").body(), "all 45 of these");
        String further = follow(toDo, "Further in the list");
        assertThat(lanes(toDo) + lanes(further)).isEqualTo(TO_ORDER);
        assertThat(further).doesNotContain("Further in the list");
        assertThat(lanes(follow(further, "Earlier in the list"))).isEqualTo(lanes(toDo));
    }

    @Test
    void addressOfNoHeadingIsRefusedInWords() {
        assertThat(visitor.get("/parts?only=NONE").statusCode()).isEqualTo(422);
        assertThat(visitor.get("/parts?only=AWAITED&page=-3").body()).contains("Thing o1.");
        assertThat(visitor.get("/parts?only=AWAITED&page=7").body())
                .contains("The list ends before this page", "All headings")
                .doesNotContain("Nothing is waited for");
    }
}
