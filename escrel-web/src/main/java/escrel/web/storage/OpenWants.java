package escrel.web.storage;

import escrel.core.supply.Want.State;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What is wanted and not settled, added up over all jobs. It is held by job, and read again only of those jobs of which
 * something was written since: however many are open, a page costs what was changed before it.
 */
@Component
public class OpenWants {
    private static final String COLUMNS = "select state, job, since, expected, price from job_want where ";

    // every state that is open, one by one: "all but two" goes by no index
    private static final String OPEN = Arrays.stream(State.values())
            .filter(state -> !state.isOver())
            .map(state -> "'" + state.name() + "'")
            .collect(Collectors.joining(", ", "state in (", ")"));

    // as when every job is read into its lines anew: one reading of all is quicker than so many of one
    private static final int MANY = 100;

    private static final Comparator<Oldest> FIRST =
            Comparator.comparing(Oldest::since).thenComparingInt(Oldest::job);

    private final JdbcTemplate jdbc;
    private final Map<Integer, List<Open>> held = new HashMap<>();
    /** Of what something was written since it was read; taken before the reading, so that nothing is missed. */
    private final Set<Integer> changed = ConcurrentHashMap.newKeySet();

    private final AtomicBoolean allChanged = new AtomicBoolean(true);

    OpenWants(DataSource dataSource) {
        jdbc = new JdbcTemplate(dataSource);
    }

    /** One that is not settled. */
    private record Open(
            State state,
            int job,
            OffsetDateTime since,
            @Nullable LocalDate expected,
            @Nullable BigDecimal price) {
        static Open of(ResultSet row, int number) throws SQLException {
            String expected = row.getString(4);
            return new Open(
                    State.valueOf(row.getString(1)),
                    row.getInt(2),
                    row.getObject(3, OffsetDateTime.class),
                    expected == null ? null : LocalDate.parse(expected),
                    row.getBigDecimal(5));
        }
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

    /** What a job wants is written by the transaction at hand; it counts here from its end on. */
    public void changed(int job) {
        AfterTransaction.run(() -> changed.add(job));
    }

    /** What every job wants is written anew by the transaction at hand. */
    public void allChanged() {
        AfterTransaction.run(() -> allChanged.set(true));
    }

    /** Adds them up as they stand: all that is committed counts. */
    public synchronized Sums sums(LocalDate today) {
        readAgain();
        return sums(held.values().stream().flatMap(List::stream).toList(), today);
    }

    private void readAgain() {
        List<Integer> jobs = List.copyOf(changed);
        changed.removeAll(jobs);
        boolean all = allChanged.getAndSet(false) || jobs.size() > MANY;
        try {
            if (all) {
                held.clear();
                hold(jdbc.query(COLUMNS + OPEN, Open::of));
                return;
            }
            jobs.forEach(held::remove);
            jobs.forEach(job -> hold(jdbc.query(COLUMNS + "job = ? and " + OPEN, Open::of, job)));
        } catch (DataAccessException e) {
            allChanged.set(true);
            throw e;
        }
    }

    private void hold(List<Open> wants) {
        wants.forEach(w -> held.computeIfAbsent(w.job(), j -> new ArrayList<>()).add(w));
    }

    private static Sums sums(List<Open> all, LocalDate today) {
        Map<State, Integer> atState = new EnumMap<>(State.class);
        all.forEach(w -> atState.merge(w.state(), 1, Integer::sum));
        List<Open> awaited = all.stream().filter(w -> w.state().isAwaited()).toList();
        List<BigDecimal> prices =
                awaited.stream().map(Open::price).filter(Objects::nonNull).toList();
        return new Sums(
                atState,
                new Awaited(
                        awaited.size(),
                        (int) awaited.stream().map(Open::job).distinct().count(),
                        (int) awaited.stream()
                                .filter(w ->
                                        w.expected() != null && w.expected().isBefore(today))
                                .count(),
                        prices.stream().reduce(BigDecimal.ZERO, BigDecimal::add),
                        prices.size(),
                        awaited.stream()
                                .map(w -> new Oldest(w.since(), w.job()))
                                .min(FIRST)
                                .orElse(null)));
    }
}
