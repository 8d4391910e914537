package escrel.web.storage;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Arg;
import org.apache.ibatis.annotations.ConstructorArgs;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Writes the tables of jobs and steps. Steps are only ever added, but for what an owner asks to be erased. */
@Mapper
public interface JobMapper {
    @Insert("""
            insert into job (number, opened_at, changed_at, last_sequence, watch, owner, calibre, sheet_version, stage,
                             next_act, due_at, due_words, identity)
            values (#{number}, #{openedAt}, #{changedAt}, #{lastSequence}, #{watch}, #{owner}, #{calibre},
                    #{sheetVersion}, #{stage}, #{nextAct}, #{dueAt}, #{dueWords}, #{identity})""")
    void insert(JobRow row);

    /** Moves a job on; 0 rows when somebody else recorded in between. */
    @Update("""
            update job set changed_at = #{row.changedAt}, last_sequence = #{row.lastSequence}, watch = #{row.watch},
                   owner = #{row.owner}, calibre = #{row.calibre}, sheet_version = #{row.sheetVersion},
                   stage = #{row.stage}, next_act = #{row.nextAct},
                   due_at = #{row.dueAt}, due_words = #{row.dueWords}
            where number = #{row.number} and last_sequence = #{expected}""")
    int moveOn(@Param("row") JobRow row, @Param("expected") int expectedSequence);

    @Insert("""
            insert into step (job, sequence, recorded_at, kind, body)
            values (#{job}, #{sequence}, #{recordedAt}, #{kind}, #{body})""")
    void insertStep(StepRow row);

    @Select("select * from job where number = #{number}")
    Optional<JobRow> find(int number);

    /** The same, and nobody else moves it on before this transaction ends. */
    @Select("select * from job where number = #{number} for update")
    Optional<JobRow> hold(int number);

    // a job may have thousands: which column goes where is said, not looked for in each row
    @ConstructorArgs({
        @Arg(column = "job", javaType = int.class),
        @Arg(column = "sequence", javaType = int.class),
        @Arg(column = "recorded_at", javaType = OffsetDateTime.class),
        @Arg(column = "kind", javaType = String.class),
        @Arg(column = "body", javaType = String.class)
    })
    // what a long transaction read before is not what there is: an erasure may have come since
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select("select * from step where job = #{number} and sequence > #{after} order by sequence")
    List<StepRow> stepsAfter(@Param("number") int number, @Param("after") int after);

    /** Earlier jobs of a watch and an owner called so, the newest first. */
    @Select("""
            select * from job
            where watch = #{watch} and owner = #{owner} and opened_at < #{before}
            order by watch, owner, opened_at desc limit #{most}""")
    List<JobRow> ofWatch(
            @Param("watch") String watch,
            @Param("owner") String owner,
            @Param("before") OffsetDateTime before,
            @Param("most") int most);

    /** A watch as jobs call it, with how many jobs do and when the last was changed. */
    record Called(String watch, String owner, int jobs, OffsetDateTime changedAt) {}

    /** Watches, those worked on last first: of words that all begin one of the job, or of all. */
    @Select("""
            <script>select watch, owner, count(*) as jobs, max(changed_at) as changed_at from
              <choose><when test="words.isEmpty()">(select * from job order by changed_at desc limit 500)</when>
              <otherwise>job</otherwise></choose> j
              <where><foreach item="word" collection="words">
                and j.number in (select t.job from job_word t where t.word >= #{word} and t.word &lt; #{word} || #{end})
              </foreach></where>
            group by watch, owner order by changed_at desc limit #{most}</script>""")
    List<Called> watches(@Param("words") List<String> words, @Param("end") String end, @Param("most") int most);

    /** The watches of an owner called so. */
    @Select("""
            select watch, owner, count(*) as jobs, max(changed_at) as changed_at from job where owner = #{owner}
            group by watch, owner order by watch""")
    List<Called> watchesOf(String owner);

    /** Every job of a watch called so, the first first. */
    @Select("select number from job where watch = #{watch} and owner = #{owner} order by opened_at, number")
    List<Integer> allOfWatch(@Param("watch") String watch, @Param("owner") String owner);

    /** The jobs of an owner called so. */
    @Select("select number from job where owner = #{owner} order by number")
    List<Integer> ofOwner(String owner);

    /** Writes over what was recorded: only to erase what a person asks to be erased. */
    @Update("update step set body = #{body} where job = #{job} and sequence = #{sequence}")
    void writeOver(@Param("job") int job, @Param("sequence") int sequence, @Param("body") String body);

    @Update("update job set owner = #{owner} where number = #{job}")
    void callOwner(@Param("job") int job, @Param("owner") String owner);

    /** The job that is called so wherever its file goes. */
    @Select("select number from job where identity = #{identity}")
    Optional<Integer> called(String identity);

    @Select("select count(*) from job")
    int count();
}
