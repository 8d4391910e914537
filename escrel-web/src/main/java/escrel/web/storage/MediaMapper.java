package escrel.web.storage;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Asks which media are in use. */
@Mapper
public interface MediaMapper {
    /** The names of all media that a row names. */
    @Select("""
            select picture from photo
            union select small from photo
            union select full_picture from photo where full_picture is not null
            union select body from recording
            union select picture from sheet_picture
            union select body from sheet_document""")
    List<String> inUse();

    @Select("""
            select exists (select 1 from photo where picture = #{name} or small = #{name} or full_picture = #{name})
                or exists (select 1 from sheet_picture where picture = #{name})""")
    boolean isPicture(String name);
}
