package escrel.web.list;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Reads lists of jobs. */
@Mapper
public interface ListMapper {
    /**
     * A line of a list.
     *
     * @param waits what it waits for, names with spaces between
     */
    record Line(
            int number,
            String watch,
            String owner,
            @Nullable String calibreName,
            String stage,
            String nextAct,
            OffsetDateTime changedAt,
            @Nullable OffsetDateTime dueAt,
            @Nullable String dueWords,
            String waits) {}

    /** How many jobs stand at a stage. */
    record Count(String stage, int jobs) {}

    String COLUMNS = """
            select j.number, j.watch, j.owner, s.name as calibre_name, j.stage, j.next_act, j.changed_at, j.due_at,
                   j.due_words, coalesce(l.waits, '') as waits
            from job j
            left join calibre_sheet s on s.calibre = j.calibre and s.version = j.sheet_version
            left join job_line l on l.job = j.number
            """;

    /** Every word somewhere in what is said of the job; a number alone also finds the job of that number. */
    String WANTED = """
            <where>
              <foreach item="word" collection="w.words">
                and (l.words like #{word} escape '!' <if test="w.number != null">or j.number = #{w.number}</if>)
              </foreach>
              <if test="w.waitingFor != null">and l.waits like #{w.waitingFor}</if>
              <if test="w.stage != null">and j.stage = #{w.stage}</if>
            </where>
            """;

    @Select(COLUMNS + "where j.stage <> 'HANDED_OVER' order by j.number")
    List<Line> inTheHouse();

    @Select(COLUMNS + "where j.stage = 'HANDED_OVER' order by j.changed_at desc limit #{most}")
    List<Line> lastGone(int most);

    @Select(COLUMNS + "order by j.number")
    List<Line> all();

    /** Jobs that were asked for: the one of that number first, then those in the house, then the latest. */
    @Select("<script>" + COLUMNS + WANTED + """
            order by case when j.number = #{w.number} then 0 when j.stage != 'HANDED_OVER' then 1 else 2 end,
                     j.changed_at desc, j.number desc
            limit #{most} offset #{from}
            </script>""")
    List<Line> found(@Param("w") Wanted wanted, @Param("from") int from, @Param("most") int most);

    /** How many of them stand at each stage. */
    @Select("<script>select j.stage, count(*) as jobs from job j left join job_line l on l.job = j.number " + WANTED
            + "group by j.stage</script>")
    List<Count> counts(@Param("w") Wanted wanted);
}
