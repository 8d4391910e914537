package escrel.web.storage;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Writes the table of settings. */
@Mapper
public interface SettingMapper {
    /** A setting as it was given. */
    record Setting(String name, String given) {}

    @Select("select name, given from setting")
    List<Setting> all();

    @Insert("merge into setting (name, given) key (name) values (#{name}, #{given})")
    void put(@Param("name") String name, @Param("given") String given);
}
