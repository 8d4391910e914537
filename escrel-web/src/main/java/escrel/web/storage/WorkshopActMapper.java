package escrel.web.storage;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Writes the table of the workshop's log. Acts are only ever added. */
@Mapper
public interface WorkshopActMapper {
    /** One act. */
    record ActRow(int sequence, OffsetDateTime recordedAt, String kind, String body) {}

    // what a long transaction read before is not what there is: an erasure may have come since
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select("select sequence, recorded_at, kind, body from workshop_act order by sequence")
    List<ActRow> all();

    /** The newest act by number and instant: as long as it is the same, all of them are. */
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select("select sequence || ' ' || recorded_at from workshop_act order by sequence desc limit 1")
    @Nullable
    String newest();

    /** Writes over what was said: only to erase what a person asks to be erased. */
    @Update("update workshop_act set body = #{body} where sequence = #{sequence}")
    void writeOver(@Param("sequence") int sequence, @Param("body") String body);

    @Insert("""
            insert into workshop_act (sequence, recorded_at, kind, body)
            values (#{sequence}, #{recordedAt}, #{kind}, #{body})""")
    void insert(ActRow row);
}
