package org.opentrellis.app.catalogue;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SharedPartMapper {
  @Select(
      """
      select kind, name, document, saved_at from shared_part where kind = #{kind} order by name
      """)
  List<SharedPartRow> all(String kind);

  @Update(
      """
      merge into shared_part (kind, name, document, saved_at) key (kind, name)
      values (#{kind}, #{name}, #{document}, #{savedAt})
      """)
  void keep(SharedPartRow row);
}
