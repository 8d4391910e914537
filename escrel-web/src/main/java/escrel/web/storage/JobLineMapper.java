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
    /**
     * What lists, search and learning read of a job.
     *
     * @param taken codes of the parts in the order in which they came off, each once, one on a line
     */
    record LineRow(int job, String waits, String words, String taken) {}

    @Update("""
            merge into job_line (job, waits, words, taken) key (job)
            values (#{job}, #{waits}, #{words}, #{taken})""")
    void put(LineRow row);

    @Insert("insert into job_line (job, waits, words, taken) values (#{job}, #{waits}, #{words}, #{taken})")
    void insert(LineRow row);

    /** The order in which the other jobs of a calibre were taken apart, of those of which more than one part came off. */
    @Select("""
            select l.taken from job j join job_line l on l.job = j.number
            where j.calibre = #{calibre} and j.number <> #{except} and l.taken like '%' || char(10) || '%'
            order by j.number""")
    List<String> orders(@Param("calibre") String calibre, @Param("except") int except);

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
