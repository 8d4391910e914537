package escrel.web.list;

import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Which jobs words are said of. Of one word thousands may be found, of which thirty are shown: as numbers they are read without
 * a mapper, which takes five times as long to look at each row as the database to find it.
 */
@Component
class SaidOfJobs {
    private static final String OF_A_WORD = "select job from job_word where word >= ? and word < ?";

    private final JdbcTemplate jdbc;

    SaidOfJobs(DataSource dataSource) {
        jdbc = new JdbcTemplate(dataSource);
    }

    /**
     * Jobs of which each of these words is said, or a longer one that begins so.
     *
     * @param words one at least
     */
    Set<Integer> each(List<Wanted.Beginning> words) {
        Set<Integer> jobs = new HashSet<>();
        String all = String.join(" intersect ", Collections.nCopies(words.size(), OF_A_WORD));
        Object[] ends =
                words.stream().flatMap(w -> List.of(w.from(), w.to()).stream()).toArray();
        jdbc.query(
                all,
                row -> {
                    jobs.add(row.getInt(1));
                },
                ends);
        return jobs;
    }
}
