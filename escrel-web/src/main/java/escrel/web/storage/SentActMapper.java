package escrel.web.storage;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Knows which forms have been recorded. */
@Mapper
public interface SentActMapper {
    @Select("select exists (select 1 from sent_act where identity = #{identity})")
    boolean isRecorded(String identity);

    @Insert("insert into sent_act (identity, job) values (#{identity}, #{job})")
    void insert(@Param("identity") String identity, @Param("job") int job);
}
