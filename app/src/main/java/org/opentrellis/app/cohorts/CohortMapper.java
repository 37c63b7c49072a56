package org.opentrellis.app.cohorts;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface CohortMapper {
  @Select("select id, name, document, saved_at from cohort order by name")
  List<CohortRow> all();

  @Select("select id, name, document, saved_at from cohort where id = #{id}")
  Optional<CohortRow> find(long id);

  @Select("select id, name, document, saved_at from cohort where name = #{name}")
  Optional<CohortRow> named(String name);

  @Insert("insert into cohort (name, document, saved_at) values (#{name}, #{document}, #{savedAt})")
  void insert(String name, String document, OffsetDateTime savedAt);

  @Update("update cohort set document = #{document}, saved_at = #{savedAt} where id = #{id}")
  void update(long id, String document, OffsetDateTime savedAt);

  @Delete("delete from cohort where id = #{id}")
  int delete(long id);
}
