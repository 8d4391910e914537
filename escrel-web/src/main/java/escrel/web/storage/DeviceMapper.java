package escrel.web.storage;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Writes the table of sound devices whose clock is known. */
@Mapper
public interface DeviceMapper {
    /** A calibrated device. */
    record DeviceRow(String name, double ppm, double doubtPpm, String reference, OffsetDateTime calibratedAt) {}

    @Select("select name, ppm, doubt_ppm, reference, calibrated_at from sound_device order by name")
    List<DeviceRow> all();

    @Select("select name, ppm, doubt_ppm, reference, calibrated_at from sound_device where name = #{name}")
    Optional<DeviceRow> find(String name);

    @Delete("delete from sound_device where name = #{name}")
    void forget(String name);

    @Insert("""
            insert into sound_device (name, ppm, doubt_ppm, reference, calibrated_at)
            values (#{name}, #{ppm}, #{doubtPpm}, #{reference}, #{calibratedAt})""")
    void insert(DeviceRow row);
}
