package escrel.web.storage;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Writes the table of photos. The pictures lie in the media store. */
@Mapper
public interface PhotoMapper {
    /**
     * A photo.
     *
     * @param picture name of the picture in bench-side size
     * @param small name of the small one
     * @param fullPicture name of the one in full size; while it is scaled, of the picture as it came, which is not given out
     */
    record PhotoRow(
            int number,
            String mediaType,
            String picture,
            String small,
            @Nullable String fullPicture,
            boolean scaling) {
        /** The full size, when there is one that may be given out. */
        public Optional<String> full() {
            return scaling ? Optional.empty() : Optional.ofNullable(fullPicture);
        }
    }

    @Insert("""
            insert into photo (job, number, media_type, picture, small, full_media_type, full_picture, scaling)
            values (#{job}, #{row.number}, #{row.mediaType}, #{row.picture}, #{row.small}, 'image/jpeg',
                    #{row.fullPicture}, #{row.scaling})""")
    void insert(@Param("job") int job, @Param("row") PhotoRow row);

    /** Puts the scaled picture and the full-size one without place and device in place. */
    @Update("""
            update photo set picture = #{picture}, full_picture = #{full}, scaling = false
            where job = #{job} and number = #{number}""")
    void scaled(
            @Param("job") int job,
            @Param("number") int number,
            @Param("picture") String picture,
            @Param("full") @Nullable String full);

    /** A photo whose scaling was begun and not ended. */
    record Waiting(int job, int number) {}

    @Select("select job, number from photo where scaling order by job, number")
    List<Waiting> waiting();

    @Select("""
            select number, media_type, picture, small, full_picture, scaling from photo
            where job = #{job} and number = #{number}""")
    Optional<PhotoRow> find(@Param("job") int job, @Param("number") int number);

    @Select("""
            select number, media_type, picture, small, full_picture, scaling from photo
            where job = #{job} order by number""")
    List<PhotoRow> all(int job);
}
