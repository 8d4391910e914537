package escrel.web.storage;

import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Writes the table of column mappings, one for each heading of a timing machine's file. */
@Mapper
public interface ColumnMappingMapper {
    @Select("select mapping from column_mapping where heading = #{heading}")
    Optional<String> find(String heading);

    @Delete("delete from column_mapping where heading = #{heading}")
    void forget(String heading);

    @Insert("insert into column_mapping (heading, mapping) values (#{heading}, #{mapping})")
    void insert(@Param("heading") String heading, @Param("mapping") String mapping);
}
