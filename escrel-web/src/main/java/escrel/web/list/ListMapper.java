package escrel.web.list;

import escrel.core.handover.Stage;
import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Arg;
import org.apache.ibatis.annotations.ConstructorArgs;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.ResultMap;
import org.apache.ibatis.annotations.Results;
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
    record Count(Stage stage, int jobs) {}

    String LINE = "line";

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

    /** Jobs in the house; which column goes where is said once for all lines, and need not be looked for in each. */
    @ConstructorArgs({
        @Arg(column = "number", javaType = int.class),
        @Arg(column = "watch", javaType = String.class),
        @Arg(column = "owner", javaType = String.class),
        @Arg(column = "calibre_name", javaType = String.class),
        @Arg(column = "stage", javaType = String.class),
        @Arg(column = "next_act", javaType = String.class),
        @Arg(column = "changed_at", javaType = OffsetDateTime.class),
        @Arg(column = "due_at", javaType = OffsetDateTime.class),
        @Arg(column = "due_words", javaType = String.class),
        @Arg(column = "waits", javaType = String.class),
        @Arg(column = "open", javaType = String.class)
    })
    @Results(id = LINE)
    @Select(COLUMNS + "from job j " + JOINED + "where " + IN_THE_HOUSE + " order by j.number")
    List<Line> inTheHouse();

    @ResultMap(LINE)
    @Select(COLUMNS + """
            from (select * from job where stage = 'HANDED_OVER' order by stage, changed_at desc limit #{most}) j
            """ + JOINED + "order by j.changed_at desc")
    List<Line> lastGone(int most);

    /** Jobs after a number, for other programs. */
    @ResultMap(LINE)
    @Select(COLUMNS + "from (select * from job where number > #{after} order by number limit #{most}) j " + JOINED
            + "order by j.number")
    List<Line> after(@Param("after") int after, @Param("most") int most);

    /** How a page of {@link #after} stands: how many jobs, the last of them, and when any of them was changed last. */
    @Select("""
            select count(*) || '-' || coalesce(max(number), 0) || '-' || coalesce(cast(max(changed_at) as varchar), '')
            from (select number, changed_at from job where number > #{after} order by number limit #{most})
            """)
    String standing(@Param("after") int after, @Param("most") int most);

    /** Jobs of one stage, or of all but the last: the latest first. */
    @ResultMap(LINE)
    @Select("<script>" + COLUMNS + """
            from (select * from job j where
              <choose>
                <when test="stage != null">j.stage = #{stage} order by j.stage, j.changed_at desc, j.number desc</when>
                <otherwise>""" + IN_THE_HOUSE + """
                  order by j.changed_at desc, j.number desc</otherwise>
              </choose>
              limit #{most} offset #{from}) j
            """ + JOINED + """
            order by j.changed_at desc, j.number desc
            </script>""")
    List<Line> at(@Param("stage") @Nullable Stage stage, @Param("from") int from, @Param("most") int most);

    /** How many jobs stand at each stage. */
    @Select("select stage, count(*) as jobs from job group by stage")
    List<Count> counts();

    /** A job in the house and where it stands. */
    record InHouse(int number, Stage stage) {}

    /** Jobs in the house, changed last first; with a pattern those that wait for it. */
    @Select("""
            <script>
            select j.number, j.stage from job j where """ + " " + IN_THE_HOUSE + """
            <if test="waitingFor != null">
              and exists (select 1 from job_line l where l.job = j.number and l.waits like #{waitingFor})
            </if>
            order by j.changed_at desc, j.number desc
            </script>""")
    List<InHouse> inTheHouseWaiting(@Param("waitingFor") @Nullable String waitingFor);

    /** Whether there is a job of this number. */
    @Select("select exists (select 1 from job where number = #{number})")
    boolean isThere(int number);

    /** The lines of some jobs, in no order. */
    @ResultMap(LINE)
    @Select("<script>" + COLUMNS + "from job j " + JOINED + """
            where j.number in <foreach item="n" collection="numbers" open="(" separator="," close=")">#{n}</foreach>
            </script>""")
    List<Line> lines(@Param("numbers") List<Integer> numbers);
}
