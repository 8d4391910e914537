package escrel.web.storage;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Writes the tables of pictures and documents of calibres. A picture's number is used once and never again. */
@Mapper
public interface SheetPictureMapper {
    /** A document without its body. */
    record Document(int number, String title, String source, String mediaType, OffsetDateTime addedAt) {}

    @Select("select coalesce(max(number), 0) + 1 from sheet_picture where calibre = #{calibre}")
    int nextNumber(String calibre);

    @Insert("""
            insert into sheet_picture (calibre, number, media_type, picture)
            values (#{calibre}, #{number}, #{mediaType}, #{picture})""")
    void insert(
            @Param("calibre") String calibre,
            @Param("number") int number,
            @Param("mediaType") String mediaType,
            @Param("picture") byte[] picture);

    @Select("""
            select number, media_type, picture as bytes from sheet_picture
            where calibre = #{calibre} and number = #{number}""")
    Optional<PhotoMapper.Picture> find(@Param("calibre") String calibre, @Param("number") int number);

    @Insert("""
            insert into sheet_document (calibre, number, title, source, media_type, body, added_at)
            values (#{calibre}, (select coalesce(max(number), 0) + 1 from sheet_document where calibre = #{calibre}),
                    #{title}, #{source}, #{mediaType}, #{body}, #{addedAt})""")
    void attach(
            @Param("calibre") String calibre,
            @Param("title") String title,
            @Param("source") String source,
            @Param("mediaType") String mediaType,
            @Param("body") byte[] body,
            @Param("addedAt") OffsetDateTime addedAt);

    @Select("""
            select number, title, source, media_type, added_at from sheet_document
            where calibre = #{calibre} order by number""")
    List<Document> documents(String calibre);

    @Select("""
            select number, media_type, body as bytes from sheet_document
            where calibre = #{calibre} and number = #{number}""")
    Optional<PhotoMapper.Picture> document(@Param("calibre") String calibre, @Param("number") int number);
}
