package escrel.web.storage;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Writes the table of photos. */
@Mapper
public interface PhotoMapper {
    /** A picture with its kind. */
    record Picture(int number, String mediaType, byte[] bytes) {}

    @Select("select coalesce(max(number), 0) + 1 from photo where job = #{job}")
    int nextNumber(int job);

    @Insert("""
            insert into photo (job, number, media_type, picture, small)
            values (#{job}, #{number}, #{mediaType}, #{picture}, #{small})""")
    void insert(
            @Param("job") int job,
            @Param("number") int number,
            @Param("mediaType") String mediaType,
            @Param("picture") byte[] picture,
            @Param("small") byte[] small);

    @Select("select number, media_type, picture as bytes from photo where job = #{job} and number = #{number}")
    Optional<Picture> find(@Param("job") int job, @Param("number") int number);

    @Select("select number, media_type, small as bytes from photo where job = #{job} and number = #{number}")
    Optional<Picture> findSmall(@Param("job") int job, @Param("number") int number);

    @Select("select number, media_type, picture as bytes from photo where job = #{job} order by number")
    List<Picture> all(int job);
}
