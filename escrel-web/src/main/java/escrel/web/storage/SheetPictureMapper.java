package escrel.web.storage;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Writes the tables of pictures and documents of calibres. A picture's number is used once and never again. */
@Mapper
public interface SheetPictureMapper {
    /**
     * A picture or document as it is kept.
     *
     * @param title of a document, nothing for a picture
     * @param medium its name in the media store
     */
    record Kept(int number, @Nullable String title, String mediaType, String medium) {}

    /** A document without its body. */
    record Document(int number, String title, String source, String mediaType, OffsetDateTime addedAt) {}

    @Insert("""
            insert into sheet_picture (calibre, number, media_type, picture)
            values (#{calibre}, #{number}, #{mediaType}, #{picture})""")
    void insert(
            @Param("calibre") String calibre,
            @Param("number") int number,
            @Param("mediaType") String mediaType,
            @Param("picture") String picture);

    @Select("""
            select number, cast(null as varchar) as title, media_type, picture as medium from sheet_picture
            where calibre = #{calibre} and number = #{number}""")
    Optional<Kept> find(@Param("calibre") String calibre, @Param("number") int number);

    @Insert("""
            insert into sheet_document (calibre, number, title, source, media_type, body, added_at)
            values (#{calibre}, #{number}, #{title}, #{source}, #{mediaType}, #{body}, #{addedAt})""")
    void attach(
            @Param("calibre") String calibre,
            @Param("number") int number,
            @Param("title") String title,
            @Param("source") String source,
            @Param("mediaType") String mediaType,
            @Param("body") String body,
            @Param("addedAt") OffsetDateTime addedAt);

    @Select("""
            select number, title, source, media_type, added_at from sheet_document
            where calibre = #{calibre} order by number""")
    List<Document> documents(String calibre);

    @Select("""
            select number, title, media_type, body as medium from sheet_document
            where calibre = #{calibre} and number = #{number}""")
    Optional<Kept> document(@Param("calibre") String calibre, @Param("number") int number);
}
