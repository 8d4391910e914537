package escrel.web.storage;

import escrel.core.supply.Want.State;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What is wanted and not settled, added up over all jobs. It is read through the index and added up here: with 1 670 of them
 * open H2 takes five times as long to do so itself.
 */
@Component
public class OpenWants {
    // every state that is open, one by one: "all but two" goes by no index
    private static final String OPEN = Arrays.stream(State.values())
            .filter(state -> !state.isOver())
            .map(state -> "'" + state.name() + "'")
            .collect(Collectors.joining(
                    ", ", "select state, job, since, expected, price from job_want where state in (", ")"));

    private static final Comparator<Oldest> FIRST =
            Comparator.comparing(Oldest::since).thenComparingInt(Oldest::job);

    private final JdbcTemplate jdbc;

    OpenWants(DataSource dataSource) {
        jdbc = new JdbcTemplate(dataSource);
    }

    /** How many stand at each state, and what others owe. */
    public record Sums(Map<State, Integer> atState, Awaited awaited) {}

    /**
     * What is ordered or out of the house.
     *
     * @param watches for how many jobs
     * @param late how many were promised for a day that is over
     * @param price what they cost together as far as prices are known
     * @param priced of how many they are known
     * @param oldest what is waited for longest; nothing where nothing is
     */
    public record Awaited(
            int wants,
            int watches,
            int late,
            BigDecimal price,
            int priced,
            @Nullable Oldest oldest) {}

    /** Since when something is waited for, and by which job. */
    public record Oldest(OffsetDateTime since, int job) {}

    /** Adds them up as they stand. */
    public Sums sums(LocalDate today) {
        Adding adding = new Adding(today.toString());
        jdbc.query(OPEN, adding::add);
        return adding.sums();
    }

    private static final class Adding {
        private final String today;
        private final Map<State, Integer> atState = new EnumMap<>(State.class);
        private final Set<Integer> watches = new HashSet<>();
        private int late;
        private BigDecimal price = BigDecimal.ZERO;
        private int priced;
        private @Nullable Oldest oldest;

        Adding(String today) {
            this.today = today;
        }

        void add(ResultSet row) throws SQLException {
            State state = State.valueOf(row.getString(1));
            atState.merge(state, 1, Integer::sum);
            if (!state.isAwaited()) {
                return;
            }
            Oldest one = new Oldest(row.getObject(3, OffsetDateTime.class), row.getInt(2));
            oldest = oldest == null || FIRST.compare(one, oldest) < 0 ? one : oldest;
            watches.add(one.job());
            String expected = row.getString(4);
            late += expected != null && expected.compareTo(today) < 0 ? 1 : 0;
            BigDecimal paid = row.getBigDecimal(5);
            price = paid == null ? price : price.add(paid);
            priced += paid == null ? 0 : 1;
        }

        Sums sums() {
            int wants = atState.entrySet().stream()
                    .filter(e -> e.getKey().isAwaited())
                    .mapToInt(Map.Entry::getValue)
                    .sum();
            return new Sums(atState, new Awaited(wants, watches.size(), late, price, priced, oldest));
        }
    }
}
