package escrel.web.storage;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/**
 * Writes what lists, search and learning read of jobs. It follows from the steps and can be made anew at any time. What has
 * not changed is not written again.
 */
@Mapper
public interface JobLineMapper {
    /**
     * What a service teaches.
     *
     * @param taken codes of the parts in the order in which they came off, each once, one on a line
     * @param times minutes by part, one part on a line
     * @param figures of the final readings; empty while there are none
     * @param found what was wrong with which part, one part on a line: its code, a tab, the defects
     */
    record LearntRow(int job, String taken, String times, String figures, String found) {}

    /**
     * What lists show of a job.
     *
     * @param waits what it waits for, names with spaces between
     * @param open how much is open in which room, one on a line: room, tab, number
     */
    record LineRow(int job, String waits, String open) {}

    @Insert("insert into job_line (job, waits, open) values (#{job}, #{waits}, #{open})")
    void insert(LineRow row);

    @Update("""
            update job_line set waits = #{waits}, open = #{open}
            where job = #{job} and (waits <> #{waits} or open <> #{open})""")
    void update(LineRow row);

    @Select("select count(*) from job_word where job = #{job}")
    int countWords(int job);

    /** Words a job has already are not added again. */
    @Insert("""
            <script>merge into job_word (word, job) key (word, job) values
              <foreach item="word" collection="words" separator=",">(#{word}, #{job})</foreach>
            </script>""")
    void addWords(@Param("job") int job, @Param("words") List<String> words);

    @Delete("""
            <script>delete from job_word where job = #{job} and word in
              <foreach item="word" collection="words" separator="," open="(" close=")">#{word}</foreach>
            </script>""")
    void dropWords(@Param("job") int job, @Param("words") List<String> words);

    @Delete("delete from job_word where job = #{job}")
    void dropAllWords(int job);

    @Insert("""
            insert into job_learnt (job, taken, times, figures, found)
            values (#{job}, #{taken}, #{times}, #{figures}, #{found})""")
    void insertLearnt(LearntRow row);

    @Update("""
            update job_learnt set taken = #{taken}, times = #{times}, figures = #{figures}, found = #{found}
            where job = #{job} and (taken <> #{taken} or times <> #{times} or figures <> #{figures}
                or found <> #{found})""")
    void learn(LearntRow row);

    /** What the jobs of a calibre teach, the newest first. */
    @Select("""
            select l.job, l.taken, l.times, l.figures, l.found from job j join job_learnt l on l.job = j.number
            where j.calibre = #{calibre} order by j.number desc""")
    List<LearntRow> learntOf(String calibre);

    /** What the newest services of a calibre showed in their final readings, those of one job left out. */
    @Select("""
            select l.figures from job j join job_learnt l on l.job = j.number
            where j.calibre = #{calibre} and j.number <> #{except} and l.figures <> ''
            order by j.calibre, j.number desc limit #{most}""")
    List<String> figures(@Param("calibre") String calibre, @Param("except") int except, @Param("most") int most);

    /** How long the newest services of a calibre took. */
    @Select("""
            select l.times from job j join job_learnt l on l.job = j.number
            where j.calibre = #{calibre} and l.times <> '' order by j.calibre, j.number desc limit #{most}""")
    List<String> times(@Param("calibre") String calibre, @Param("most") int most);

    /** Jobs without a line. */
    @Select("""
            select number from job j where not exists (select 1 from job_line l where l.job = j.number)
            order by changed_at desc limit #{most}""")
    List<Integer> missing(int most);

    @Select("select (select count(*) from job) - (select count(*) from job_line)")
    int countMissing();

    @Delete("delete from job_line")
    void clearLines();

    @Delete("delete from job_word")
    void clearWords();

    @Delete("delete from job_learnt")
    void clearLearnt();
}
