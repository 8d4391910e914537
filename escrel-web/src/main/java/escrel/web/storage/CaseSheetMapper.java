package escrel.web.storage;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Writes the table of case sheets. A version once kept is never changed: jobs point to it. */
@Mapper
public interface CaseSheetMapper {
    /** A case's place in the list. */
    record CaseRow(String id, int version, String name, OffsetDateTime addedAt) {}

    @Insert("""
            insert into case_sheet (id, version, name, sheet, added_at, standing)
            values (#{id}, #{version}, #{name}, #{sheet}, #{addedAt}, #{standing})""")
    void insert(
            @Param("id") String id,
            @Param("version") int version,
            @Param("name") String name,
            @Param("sheet") String sheet,
            @Param("addedAt") OffsetDateTime addedAt,
            @Param("standing") String standing);

    @Select("select sheet from case_sheet where id = #{id} and version = #{version}")
    Optional<String> find(@Param("id") String id, @Param("version") int version);

    @Select("select version from case_sheet where id = #{id} order by version")
    List<Integer> versions(String id);

    @Select("select coalesce(max(version), 0) from case_sheet where id = #{id} and standing = 'OURS'")
    int latestVersion(String id);

    @Select("""
            select id, version, name, added_at from case_sheet c
            where version = (select max(version) from case_sheet where id = c.id and standing = 'OURS')
            order by name""")
    List<CaseRow> latest();

    @Select("select id, version, name, added_at from case_sheet where standing = 'WAITING' order by name, version")
    List<CaseRow> waiting();

    /** What came from elsewhere was looked at: accepted, or put away. It stays for its jobs. */
    @Update("""
            update case_sheet set standing = 'PASSED'
            where id = #{id} and version = #{version} and standing = 'WAITING'""")
    int pass(@Param("id") String id, @Param("version") int version);
}
