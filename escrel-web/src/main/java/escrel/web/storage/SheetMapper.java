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

    /** A version of a sheet and how it stands. */
    record VersionRow(int version, String name, OffsetDateTime addedAt, Standing standing) {}

    /** How a version stands in this workshop. */
    enum Standing {
        /** One of the workshop's own; the one with the highest number is used. */
        OURS,
        /** It came with a job from elsewhere, and nobody said anything of it yet. */
        WAITING,
        /** It came from elsewhere and was accepted: its number stays for its jobs. */
        PASSED,
        /** It came from elsewhere and is not wanted; it stays for its jobs. */
        PUT_AWAY
    }

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

    /** Says how a version from elsewhere stands; one of the workshop's own stays what it is. */
    @Update("""
            update calibre_sheet set standing = #{standing}
            where calibre = #{calibre} and version = #{version} and standing <> 'OURS'""")
    int stand(@Param("calibre") String calibre, @Param("version") int version, @Param("standing") Standing standing);

    /** Numbers of the jobs that use a version. */
    @Select("select number from job where calibre = #{calibre} and sheet_version = #{version} order by number")
    List<Integer> jobs(@Param("calibre") String calibre, @Param("version") int version);

    /** Every version of a sheet, newest first. */
    @Select("""
            select version, name, added_at, standing from calibre_sheet
            where calibre = #{calibre} order by version desc""")
    List<VersionRow> history(String calibre);

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
            select calibre, version, name, added_at from calibre_sheet where standing = #{standing}
            order by name, version""")
    List<SheetRow> standing(Standing standing);
}
