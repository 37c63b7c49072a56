package org.opentrellis.app.revisions;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface RevisionMapper {
  @Select("select number from revision where kind = #{kind}")
  @Options(useCache = false, flushCache = Options.FlushCachePolicy.TRUE)
  long now(Revisions.Kind kind);

  @Select("select number from revision where kind = 'CATALOGUE' for update")
  @Options(useCache = false, flushCache = Options.FlushCachePolicy.TRUE)
  long hold();

  @Update("update revision set number = number + 1 where kind = #{kind}")
  void grow(Revisions.Kind kind);
}
