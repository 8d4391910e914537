package escrel.web.list;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Reads lists of jobs. Every one goes by an index, so that it takes as long with ten thousand jobs as with a hundred. */
@Mapper
public interface ListMapper {
    /**
     * A line of a list.
     *
     * @param waits what it waits for, names with spaces between
     * @param open how much is open in which room, one on a line
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
            String waits,
            String open) {}

    /** How many jobs stand at a stage. */
    record Count(String stage, int jobs) {}

    String COLUMNS = """
            select j.number, j.watch, j.owner, s.name as calibre_name, j.stage, j.next_act, j.changed_at, j.due_at,
                   j.due_words, coalesce(l.waits, '') as waits, coalesce(l.open, '') as open
            """;

    String JOINED = """
            left join calibre_sheet s on s.calibre = j.calibre and s.version = j.sheet_version
            left join job_line l on l.job = j.number
            """;

    /** Every stage but the last: spelt out, since "all but one" goes by no index. */
    String IN_THE_HOUSE = """
            j.stage in ('ARRIVED', 'READ', 'STRIPPING', 'INSPECTING', 'CLEAN', 'CLIMBING', 'ADJUSTING', 'READY')
            """;

    /** Every word the beginning of one said of the job; a number alone also finds the job of that number. */
    String WORDS = """
              <foreach item="word" collection="w.words">
                and j.number in (
                  select t.job from job_word t where t.word &gt;= #{word.from} and t.word &lt; #{word.to}
                  <if test="w.number != null">union select #{w.number}</if>)
              </foreach>
              <if test="w.wordless">and false</if>
              <if test="w.waitingFor != null">
                and exists (select 1 from job_line l where l.job = j.number and l.waits like #{w.waitingFor})
              </if>
            """;

    @Select(COLUMNS + "from job j " + JOINED + "where " + IN_THE_HOUSE + " order by j.number")
    List<Line> inTheHouse();

    @Select(COLUMNS + """
            from (select * from job where stage = 'HANDED_OVER' order by stage, changed_at desc limit #{most}) j
            """ + JOINED + "order by j.changed_at desc")
    List<Line> lastGone(int most);

    /** Jobs after a number, for other programs. */
    @Select(COLUMNS + "from (select * from job where number > #{after} order by number limit #{most}) j " + JOINED
            + "order by j.number")
    List<Line> after(@Param("after") int after, @Param("most") int most);

    /** How a page of {@link #after} stands: how many jobs, the last of them, and when any of them was changed last. */
    @Select("""
            select count(*) || '-' || coalesce(max(number), 0) || '-' || coalesce(cast(max(changed_at) as varchar), '')
            from (select number, changed_at from job where number > #{after} order by number limit #{most})
            """)
    String standing(@Param("after") int after, @Param("most") int most);

    /** The job of a number, where it is asked for. */
    @Select("<script>" + COLUMNS + "from job j " + JOINED + """
            where j.number = #{w.number}
            <if test="w.stage != null">and j.stage = #{w.stage}</if>
            <if test="w.waitingFor != null">and l.waits like #{w.waitingFor}</if>
            </script>""")
    List<Line> ofNumber(@Param("w") Wanted wanted);

    /** Jobs at one of some stages, without the one whose number was typed: the latest first. */
    @Select("<script>" + COLUMNS + """
            from (select * from job j where
              <choose>
                <when test="w.stage != null">j.stage = #{w.stage}</when>
                <when test="gone">j.stage = 'HANDED_OVER'</when>
                <otherwise>""" + IN_THE_HOUSE + """
                </otherwise>
              </choose>
              <if test="w.number != null">and j.number != #{w.number}</if>
            """ + WORDS + """
              order by <if test="gone or w.stage != null">j.stage,</if> j.changed_at desc, j.number desc
              limit #{most} offset #{from}) j
            """ + JOINED + """
            order by j.changed_at desc, j.number desc
            </script>""")
    List<Line> found(
            @Param("w") Wanted wanted, @Param("gone") boolean gone, @Param("from") int from, @Param("most") int most);

    /** How many of them stand at each stage. */
    @Select("<script>select j.stage, count(*) as jobs from job j where true " + WORDS + "group by j.stage</script>")
    List<Count> counts(@Param("w") Wanted wanted);
}
