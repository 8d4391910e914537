package escrel.web.storage;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** How long work took at this bench. It follows from the steps and can be made anew at any time. */
@Mapper
public interface TimeMapper {
    /**
     * A service that was handed over.
     *
     * @param minutes at the bench
     * @param parts what they cost, as far as it was said
     */
    record TimeRow(int job, double minutes, double parts) {}

    /**
     * A piece of work on a finding.
     *
     * @param at sequence of the step that said it was done
     */
    record WayRow(int job, int at, String decision, double minutes) {}

    @Insert("merge into job_time (job, minutes, parts) key (job) values (#{job}, #{minutes}, #{parts})")
    void putTime(TimeRow row);

    @Delete("delete from job_time where job = #{job}")
    void dropTime(int job);

    @Insert("""
            merge into job_way (job, at, decision, minutes) key (job, at)
            values (#{job}, #{at}, #{decision}, #{minutes})""")
    void putWay(WayRow row);

    @Delete("delete from job_way where job = #{job} and at = #{at}")
    void dropWay(@Param("job") int job, @Param("at") int at);

    @Delete("delete from job_way where job = #{job}")
    void dropWaysOf(int job);

    /** The newest services of a calibre but one job. */
    @Select("""
            select t.job, t.minutes, t.parts from job j join job_time t on t.job = j.number
            where j.calibre = #{calibre} and j.number <> #{except} order by j.calibre, j.number desc limit #{most}""")
    List<TimeRow> services(@Param("calibre") String calibre, @Param("except") int except, @Param("most") int most);

    /** The newest pieces of work of each kind. */
    @Select("""
            <script>
              <foreach item="d" collection="decisions" separator=" union all ">
                select * from (
                  select job, at, decision, minutes from job_way where decision = #{d} order by decision, job desc limit #{most})
              </foreach>
            </script>""")
    List<WayRow> ways(@Param("decisions") List<String> decisions, @Param("most") int most);

    @Delete("delete from job_time")
    void clearTimes();

    @Delete("delete from job_way")
    void clearWays();
}
