package org.opentrellis.app.people;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** To whom something happened after a moment. */
@Mapper
interface RecentMapper {
  @Select(
      """
      select l.person_id from person_label l join registered_name n on n.id = l.name_id
      where n.kind = #{kind} and n.name = #{name} and l.since > #{from}
      """)
  List<Long> labelled(
      @Param("kind") String kind, @Param("name") String name, @Param("from") long from);

  @Select("select distinct person_id from purchase where at > #{from}")
  List<Long> bought(long from);

  @Select("select distinct person_id from cart_line where at > #{from}")
  List<Long> carts(long from);

  @Select(
      """
      select distinct e.person_id from person_event e join registered_name n on n.id = e.name_id
      where n.name = #{name} and e.at > #{from}
      """)
  List<Long> heard(@Param("name") String name, @Param("from") long from);
}
