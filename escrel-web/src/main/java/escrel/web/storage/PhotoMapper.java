package escrel.web.storage;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

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

    /** Keeps the picture as it came until it has been scaled; it is not given out before. */
    @Update("""
            update photo set full_media_type = 'application/octet-stream', full_picture = #{raw}, scaling = true
            where job = #{job} and number = #{number}""")
    void awaitScaling(@Param("job") int job, @Param("number") int number, @Param("raw") byte[] raw);

    /** Puts the scaled picture and the full-size one without place and device in place. */
    @Update("""
            update photo set picture = #{picture}, full_media_type = 'image/jpeg', full_picture = #{full},
                             scaling = false
            where job = #{job} and number = #{number}""")
    void scaled(
            @Param("job") int job,
            @Param("number") int number,
            @Param("picture") byte[] picture,
            @Param("full") byte[] full);

    /** A photo whose scaling was begun and not ended. */
    record Waiting(int job, int number) {}

    @Select("select job, number from photo where scaling order by job, number")
    List<Waiting> waiting();

    @Select("select full_picture as bytes from photo where job = #{job} and number = #{number} and scaling")
    Optional<byte[]> raw(@Param("job") int job, @Param("number") int number);

    @Select("""
            select number, full_media_type as media_type, full_picture as bytes from photo
            where job = #{job} and number = #{number} and full_picture is not null and not scaling""")
    Optional<Picture> findFull(@Param("job") int job, @Param("number") int number);

    @Select("select number, media_type, picture as bytes from photo where job = #{job} and number = #{number}")
    Optional<Picture> find(@Param("job") int job, @Param("number") int number);

    @Select("select number, media_type, small as bytes from photo where job = #{job} and number = #{number}")
    Optional<Picture> findSmall(@Param("job") int job, @Param("number") int number);

    @Select("select number, media_type, picture as bytes from photo where job = #{job} order by number")
    List<Picture> all(int job);
}
