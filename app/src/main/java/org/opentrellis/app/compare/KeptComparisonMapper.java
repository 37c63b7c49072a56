package org.opentrellis.app.compare;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface KeptComparisonMapper {
  @Select("select id, name, runs, baseline, line_up, compared from kept_comparison order by name")
  List<KeptComparisonRow> all();

  @Insert(
      """
      merge into kept_comparison (name, runs, baseline, line_up, compared) key (name)
      values (#{name}, #{runs}, #{baseline}, #{lineUp}, #{compared})
      """)
  void keep(KeptComparisonRow row);

  @Delete("delete from kept_comparison where id = #{id}")
  int delete(long id);
}
