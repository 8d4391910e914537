package escrel.web.today;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Reads the list of jobs. */
@Mapper
interface TodayMapper {
    /** A line of the list. */
    record Line(
            int number,
            String watch,
            String owner,
            @Nullable String calibreName,
            String stage,
            String nextAct,
            OffsetDateTime changedAt,
            @Nullable OffsetDateTime dueAt,
            @Nullable String dueWords) {}

    String COLUMNS = """
            select j.number, j.watch, j.owner, s.name as calibre_name, j.stage, j.next_act, j.changed_at, j.due_at, j.due_words
            from job j left join calibre_sheet s on s.calibre = j.calibre and s.version = j.sheet_version
            """;

    @Select(COLUMNS + "where j.stage <> 'HANDED_OVER' order by j.number")
    List<Line> inTheHouse();

    @Select(COLUMNS + "where j.stage = 'HANDED_OVER' order by j.changed_at desc limit 30")
    List<Line> lastGone();

    @Select(COLUMNS + "order by j.number")
    List<Line> all();
}
