package org.opentrellis.app.live;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Which events have come. */
@Mapper
interface EventMapper {
  @Select("select exists (select 1 from heard_event where source = #{source} and id = #{id})")
  boolean isHeard(String source, String id);

  @Insert("insert into heard_event (source, id, at) values (#{source}, #{id}, #{at})")
  void hear(String source, String id, long at);
}
