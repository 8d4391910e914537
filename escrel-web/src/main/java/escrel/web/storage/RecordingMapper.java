package escrel.web.storage;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Writes the table of recordings. Their sound lies in the media store. */
@Mapper
public interface RecordingMapper {
    /** A recording without its sound. */
    record RecordingRow(
            int number,
            String name,
            double sampleRate,
            double seconds,
            String device,
            boolean simulated,
            OffsetDateTime addedAt) {}

    @Insert("""
            insert into recording (job, number, name, sample_rate, seconds, device, simulated, body, added_at)
            values (#{job}, #{row.number}, #{row.name}, #{row.sampleRate}, #{row.seconds}, #{row.device},
                    #{row.simulated}, #{body}, #{row.addedAt})""")
    void insert(@Param("job") int job, @Param("row") RecordingRow row, @Param("body") String body);

    @Select("""
            select number, name, sample_rate, seconds, device, simulated, added_at from recording
            where job = #{job} order by number""")
    List<RecordingRow> all(int job);

    @Select("""
            select number, name, sample_rate, seconds, device, simulated, added_at from recording
            where job = #{job} and number = #{number}""")
    Optional<RecordingRow> find(@Param("job") int job, @Param("number") int number);

    /** Name of the medium: the WAV file, gzipped. */
    @Select("select body from recording where job = #{job} and number = #{number}")
    Optional<String> body(@Param("job") int job, @Param("number") int number);
}
