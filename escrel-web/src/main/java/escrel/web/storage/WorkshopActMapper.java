package escrel.web.storage;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Writes the table of the workshop's log. Acts are only ever added. */
@Mapper
public interface WorkshopActMapper {
    /** One act. */
    record ActRow(int sequence, OffsetDateTime recordedAt, String kind, String body) {}

    @Select("select sequence, recorded_at, kind, body from workshop_act order by sequence")
    List<ActRow> all();

    @Insert("""
            insert into workshop_act (sequence, recorded_at, kind, body)
            values (#{sequence}, #{recordedAt}, #{kind}, #{body})""")
    void insert(ActRow row);
}
