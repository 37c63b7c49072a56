package org.opentrellis.app.walks;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface WalkMapper {
  @Select(
      """
      select id, name, document, outcome, kept_at from kept_walk
      where journey_id = #{journey} order by id
      """)
  List<KeptWalkRow> all(long journey);

  @Insert(
      """
      insert into kept_walk (journey_id, name, document, outcome, kept_at)
      values (#{journey}, #{name}, #{document}, #{outcome}, #{keptAt})
      """)
  void insert(
      @Param("journey") long journey,
      @Param("name") String name,
      @Param("document") String document,
      @Param("outcome") String outcome,
      @Param("keptAt") OffsetDateTime keptAt);

  @Delete("delete from kept_walk where journey_id = #{journey} and id = #{id}")
  int delete(@Param("journey") long journey, @Param("id") long id);
}
