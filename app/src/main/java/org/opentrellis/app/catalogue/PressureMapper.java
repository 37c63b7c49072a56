package org.opentrellis.app.catalogue;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface PressureMapper {
  @Select("select document, version from pressure")
  PressureRow current();

  /** Returns 0 when somebody else has set it since. */
  @Update(
      """
      update pressure set document = #{document}, version = version + 1
      where version = #{version}
      """)
  int set(@Param("document") @Nullable String document, @Param("version") int version);
}
