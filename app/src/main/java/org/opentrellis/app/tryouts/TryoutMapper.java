package org.opentrellis.app.tryouts;

import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface TryoutMapper {
  @Select(
      """
      select journey_id, version, plan, catalogue, who, begun_at, lot_key, acts from tryout
      where journey_id = #{journey}
      """)
  Optional<TryoutRow> find(long journey);

  @Insert(
      """
      insert into tryout (journey_id, version, plan, catalogue, who, begun_at, lot_key, acts)
      values (#{journeyId}, #{version}, #{plan}, #{catalogue}, #{who}, #{begunAt}, #{lotKey},
        #{acts})
      """)
  void insert(TryoutRow row);

  /** Returns 0 if something else was done meanwhile. */
  @Update("update tryout set acts = #{acts} where journey_id = #{journey} and acts = #{before}")
  int update(
      @Param("journey") long journey, @Param("before") String before, @Param("acts") String acts);

  @Delete("delete from tryout where journey_id = #{journey}")
  void delete(long journey);
}
