package org.opentrellis.app.betterways;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface BetterWaysMapper {

  /** A search as it is kept. */
  record KeptSearch(String wish, String found) {}

  @Select("select wish, found from better_ways where run_id = #{run} and number = #{number}")
  Optional<KeptSearch> find(long run, int number);

  /** The last search stands for those before. */
  @Update(
      """
      merge into better_ways (run_id, number, wish, found) key (run_id, number)
      values (#{run}, #{number}, #{wish}, #{found})
      """)
  void keep(long run, int number, String wish, String found);
}
