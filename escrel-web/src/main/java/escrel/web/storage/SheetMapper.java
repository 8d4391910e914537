package escrel.web.storage;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Writes the table of sheets. A version once kept is never changed: jobs point to it. */
@Mapper
public interface SheetMapper {
    /** A sheet's place in the list. */
    record SheetRow(String calibre, int version, String name, OffsetDateTime addedAt) {}

    @Insert("""
            insert into calibre_sheet (calibre, version, name, sheet, added_at)
            values (#{calibre}, #{version}, #{name}, #{sheet}, #{addedAt})""")
    void insert(
            @Param("calibre") String calibre,
            @Param("version") int version,
            @Param("name") String name,
            @Param("sheet") String sheet,
            @Param("addedAt") OffsetDateTime addedAt);

    @Select("select sheet from calibre_sheet where calibre = #{calibre} and version = #{version}")
    Optional<String> find(@Param("calibre") String calibre, @Param("version") int version);

    /** Keeps a sheet that came from elsewhere: it is no version of this workshop's until it is accepted. */
    @Insert("""
            insert into calibre_sheet (calibre, version, name, sheet, added_at, standing)
            values (#{calibre}, #{version}, #{name}, #{sheet}, #{addedAt}, 'WAITING')""")
    void insertWaiting(
            @Param("calibre") String calibre,
            @Param("version") int version,
            @Param("name") String name,
            @Param("sheet") String sheet,
            @Param("addedAt") OffsetDateTime addedAt);

    @Update("""
            update calibre_sheet set standing = 'PASSED'
            where calibre = #{calibre} and version = #{version} and standing = 'WAITING'""")
    int forgetWaiting(@Param("calibre") String calibre, @Param("version") int version);

    @Select("select version from calibre_sheet where calibre = #{calibre} order by version")
    List<Integer> versions(String calibre);

    @Select("""
            select coalesce(max(version), 0) from calibre_sheet
            where calibre = #{calibre} and standing = 'OURS'""")
    int latestVersion(String calibre);

    @Select("""
            select calibre, version, name, added_at from calibre_sheet s
            where version = (select max(version) from calibre_sheet where calibre = s.calibre and standing = 'OURS')
            order by name""")
    List<SheetRow> latest();

    @Select("""
            select calibre, version, name, added_at from calibre_sheet where standing = 'WAITING'
            order by name, version""")
    List<SheetRow> waiting();
}
