package escrel.web.storage;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Writes the table of schools chosen by the workshop (scope '') and for calibres. */
@Mapper
public interface SchoolMapper {
    @Select("select choice from school_choice where scope = #{scope} order by school")
    List<String> choices(String scope);

    /** A choice with its scope. */
    record Chosen(String scope, String choice) {}

    // what a long transaction read before may have been chosen otherwise since
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select("select scope, choice from school_choice where scope in ('', #{scope}) order by scope, school")
    List<Chosen> choicesUpTo(String scope);

    @Delete("delete from school_choice where scope = #{scope} and school = #{school}")
    void forget(@Param("scope") String scope, @Param("school") String school);

    @Insert("insert into school_choice (scope, school, choice) values (#{scope}, #{school}, #{choice})")
    void insert(@Param("scope") String scope, @Param("school") String school, @Param("choice") String choice);
}
