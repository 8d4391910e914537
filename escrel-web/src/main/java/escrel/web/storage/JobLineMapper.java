package escrel.web.storage;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Writes what lists and the search read of jobs. It follows from the steps and can be made anew at any time. */
@Mapper
public interface JobLineMapper {
    @Update("merge into job_line (job, waits, words) key (job) values (#{job}, #{waits}, #{words})")
    void put(@Param("job") int job, @Param("waits") String waits, @Param("words") String words);

    @Insert("insert into job_line (job, waits, words) values (#{job}, #{waits}, #{words})")
    void insert(@Param("job") int job, @Param("waits") String waits, @Param("words") String words);

    /** Jobs without a line. */
    @Select("""
            select number from job j where not exists (select 1 from job_line l where l.job = j.number)
            order by changed_at desc limit #{most}""")
    List<Integer> missing(int most);

    @Select("""
            select count(*) from job j where not exists (select 1 from job_line l where l.job = j.number)""")
    int countMissing();

    @Delete("delete from job_line")
    int clear();
}
