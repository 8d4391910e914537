package escrel.web.storage;

import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Writes the table of settings. */
@Mapper
public interface SettingMapper {
    @Select("select given from setting where name = #{name}")
    Optional<String> find(String name);

    @Insert("merge into setting (name, given) key (name) values (#{name}, #{given})")
    void put(@Param("name") String name, @Param("given") String given);
}
