package escrel.web.storage;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Writes the table of numbers given out. */
@Mapper
public interface CounterMapper {
    @Update("update counter set last = last + 1 where scope = #{scope}")
    int raise(String scope);

    @Update("update counter set last = #{number} where scope = #{scope} and last < #{number}")
    int raiseTo(@Param("scope") String scope, @Param("number") int number);

    @Insert("insert into counter (scope, last) values (#{scope}, #{last})")
    void begin(@Param("scope") String scope, @Param("last") int last);

    @Select("select last from counter where scope = #{scope}")
    int last(String scope);

    @Select("select count(*) from counter where scope = #{scope}")
    int count(String scope);
}
