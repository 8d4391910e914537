package escrel.web.storage;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** What jobs want from elsewhere and what was brought into them. It follows from the steps and can be made anew at any time. */
@Mapper
public interface SupplyMapper {
    /**
     * A want as kept; texts are cut to what fits.
     *
     * @param expected a day, as 2026-11-27
     */
    record WantRow(
            int job,
            String want,
            String state,
            @Nullable String part,
            String what,
            String source,
            OffsetDateTime since,
            @Nullable String expected,
            @Nullable Double price,
            @Nullable String size,
            String words) {}

    /** A copy brought in. */
    record CopyRow(
            int job,
            String part,
            int copy,
            String origin,
            String source,
            @Nullable String takenFrom,
            String size,
            OffsetDateTime atHand,
            boolean fitted) {}

    /** A want with the watch it is for. */
    record Line(
            int job,
            String watch,
            String owner,
            String want,
            String state,
            @Nullable String part,
            String what,
            String source,
            OffsetDateTime since,
            @Nullable String expected,
            @Nullable Double price,
            @Nullable String size,
            String words) {}

    /** A part that was bought or brought in before, the newest first. */
    record Before(int job, String watch, String origin, String source, String size, OffsetDateTime atHand) {}

    /** A part taken of something, with the job it went into. */
    record Taken(int job, String takenFrom, String watch, OffsetDateTime atHand) {}

    /** A drawer, and when it was counted. */
    record DrawerCounted(String source, OffsetDateTime since) {}

    /**
     * How many jobs took of a drawer.
     *
     * @param place of the drawer among those that were asked for
     */
    record TakenOfDrawer(int place, int taken) {}

    @Insert("""
            merge into job_want (job, want, state, part, what, source, since, expected, price, size, words) key (job, want)
            values (#{job}, #{want}, #{state}, #{part}, #{what}, #{source}, #{since}, #{expected}, #{price}, #{size}, #{words})""")
    void putWant(WantRow row);

    @Delete("delete from job_want where job = #{job} and want = #{want}")
    void dropWant(@Param("job") int job, @Param("want") String want);

    @Insert("""
            merge into job_copy (job, part, copy, origin, source, taken_from, size, at_hand, fitted) key (job, part, copy)
            values (#{job}, #{part}, #{copy}, #{origin}, #{source}, #{takenFrom}, #{size}, #{atHand}, #{fitted})""")
    void putCopy(CopyRow row);

    @Delete("delete from job_copy where job = #{job} and part = #{part} and copy = #{copy}")
    void dropCopy(@Param("job") int job, @Param("part") String part, @Param("copy") int copy);

    @Delete("delete from job_want where job = #{job}")
    void dropWantsOf(int job);

    @Delete("delete from job_copy where job = #{job}")
    void dropCopiesOf(int job);

    /**
     * Those at some stages, one group of stages after the other; within a group the day they are promised for first, then
     * the longest standing.
     *
     * @param from how many of the first of each group are passed over
     * @param most of each group
     */
    @Select("""
            <script>select w.job, j.watch, j.owner, w.want, w.state, w.part, w.what, w.source, w.since, w.expected, w.price,
              w.size, w.words
            from (
              <foreach item="states" index="g" collection="groups" separator=" union all ">
                select * from (
                  <foreach item="s" collection="states" separator=" union all ">
                    select * from (select *, cast(#{g} as int) as grouped from job_want where state = #{s}
                      order by state, expected nulls last, since limit #{from} + #{most})
                  </foreach>
                  order by expected nulls last, since limit #{most} offset #{from})
              </foreach>) w
            join job j on j.number = w.job order by w.grouped, w.expected nulls last, w.since</script>""")
    List<Line> standing(@Param("groups") List<List<String>> groups, @Param("from") int from, @Param("most") int most);

    /** One of a job, as one row or none. */
    @Select("""
            select w.job, j.watch, j.owner, w.want, w.state, w.part, w.what, w.source, w.since, w.expected, w.price, w.size,
              w.words
            from job_want w join job j on j.number = w.job where w.job = #{job} and w.want = #{want}
              and w.state not in ('DONE', 'CALLED_OFF')""")
    Optional<Line> one(@Param("job") int job, @Param("want") String want);

    /** What was brought in for a part of a calibre, the newest first. */
    @Select("""
            select c.job, j.watch, c.origin, c.source, c.size, c.at_hand from job_copy c join job j on j.number = c.job
            where c.part = #{part} and j.calibre = #{calibre} and c.job <> #{except}
            order by c.part, c.at_hand desc limit #{most}""")
    List<Before> before(
            @Param("calibre") String calibre,
            @Param("part") String part,
            @Param("except") int except,
            @Param("most") int most);

    /** The price paid last for a part of a calibre, as one row or none. */
    @Select("""
            select w.price from job_want w join job j on j.number = w.job
            where w.part = #{part} and j.calibre = #{calibre} and w.price is not null
            order by w.part, w.since desc limit 1""")
    @Nullable
    Double lastPrice(@Param("calibre") String calibre, @Param("part") String part);

    /** In how many jobs of a calibre a part was replaced, those of one job left out. */
    @Select("""
            select count(distinct c.job) from job_copy c join job j on j.number = c.job
            where c.part = #{part} and j.calibre = #{calibre} and c.fitted and c.job <> #{except}""")
    int replaced(@Param("calibre") String calibre, @Param("part") String part, @Param("except") int except);

    /**
     * What was taken whose source begins with one of these, the newest of each first; a slash ends what it begins with.
     *
     * @param most of each
     */
    @Select("""
            <script>
              <foreach item="s" collection="sources" separator=" union all ">
                select * from (select c.job, c.taken_from, j.watch, c.at_hand from job_copy c join job j on j.number = c.job
                 where c.taken_from &gt;= #{s} and c.taken_from &lt; #{s} || '~' order by c.at_hand desc limit #{most})
              </foreach>
            </script>""")
    List<Taken> taken(@Param("sources") List<String> sources, @Param("most") int most);

    /** How many were taken of each drawer after the instant it was counted, in the order of the drawers. */
    @Select("""
            <script>
              <foreach item="d" index="i" collection="drawers" separator=" union all ">
                select cast(#{i} as int) as place, count(*) as taken from job_copy where taken_from = #{d.source} and at_hand &gt; #{d.since}
              </foreach>
              order by place
            </script>""")
    List<TakenOfDrawer> takenSince(@Param("drawers") List<DrawerCounted> drawers);

    /** Whom orders that are not over name. */
    @Select("""
            select count(*) from job_want where source = #{name}
              and state in ('ORDERED', 'OUT', 'TO_CHECK')""")
    int openWith(String name);

    /** Whom orders named, the most often first: who was never kept as a supplier is found again all the same. */
    @Select("""
            select source from job_want where source <> '' group by source order by count(*) desc, source limit #{most}""")
    List<String> named(int most);

    @Delete("delete from job_want")
    void clearWants();

    @Delete("delete from job_copy")
    void clearCopies();
}
