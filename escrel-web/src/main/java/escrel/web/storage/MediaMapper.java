package escrel.web.storage;

import escrel.web.ground.Backup;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Asks which media are in use. */
@Mapper
public interface MediaMapper {
    /** The names of all media that a row names. */
    @Select(Backup.MEDIA_IN_USE)
    List<String> inUse();

    @Select("""
            select exists (select 1 from photo where picture = #{name} or small = #{name} or full_picture = #{name})
                or exists (select 1 from sheet_picture where picture = #{name})""")
    boolean isPicture(String name);
}
