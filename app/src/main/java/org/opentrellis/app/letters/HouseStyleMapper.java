package org.opentrellis.app.letters;

import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface HouseStyleMapper {
  record StyleRow(String document, int version) {}

  @Select("select document, version from house_style")
  Optional<StyleRow> find();

  @Insert("insert into house_style (document, version) values (#{document}, 1)")
  void insert(String document);

  @Update(
      """
      update house_style set document = #{document}, version = version + 1
      where version = #{version}
      """)
  int update(String document, int version);
}
