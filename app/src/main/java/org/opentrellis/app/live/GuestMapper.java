package org.opentrellis.app.live;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Simulated people, and what they are going to do. */
@Mapper
interface GuestMapper {
  @Select("select coalesce(max(crowd), 0) from guest")
  int crowds();

  @Insert("insert into guest (person_id, crowd) values (#{person}, #{crowd})")
  void insert(long person, int crowd);

  @Select("select exists (select 1 from guest where person_id = #{person})")
  boolean isThere(long person);

  /** Those of some people who are simulated. */
  @Select(
      """
      select person_id from guest where person_id = any(cast(#{people, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}
        as bigint array))
      """)
  Set<Long> among(Long[] people);

  /** A crowd's people, in the order in which they were drawn. */
  @Select("select person_id from guest where crowd = #{crowd} order by person_id")
  List<Long> of(int crowd);

  /** Something that one of them is going to do. */
  record ActRow(long personId, long at, boolean atOnce, String document) {}

  @Insert(
      """
      <script>
      insert into guest_act (person_id, at, at_once, document) values
        <foreach collection="rows" item="one" separator=",">
          (#{one.personId}, #{one.at}, #{one.atOnce}, #{one.document})
        </foreach>
      </script>
      """)
  void insertActs(@Param("rows") List<ActRow> rows);

  /** Which way a lot of theirs falls. */
  record LotRow(long personId, long journeyId, int visit, String step, int way) {}

  @Insert(
      """
      <script>
      insert into guest_lot (person_id, journey_id, visit, step, way) values
        <foreach collection="rows" item="one" separator=",">
          (#{one.personId}, #{one.journeyId}, #{one.visit}, #{one.step}, #{one.way})
        </foreach>
      </script>
      """)
  void insertLots(@Param("rows") List<LotRow> rows);

  @Select(
      """
      select way from guest_lot where person_id = #{person} and journey_id = #{journey}
        and visit = #{visit} and step = #{step}
      """)
  @Nullable Integer way(long person, long journey, int visit, String step);

  @Select(
      """
      select person_id, min(at) as next_at from guest_act
      where at_once = false and at <= #{until}
        and person_id not in (select person_id from put_off)
      group by person_id order by 2, 1 limit #{most}
      """)
  List<LifeMapper.Due> due(long until, int most);

  @Select(
      """
      select at from guest_act
      where at_once = false and person_id not in (select person_id from put_off)
      order by at_once, at limit 1
      """)
  Optional<Long> next();

  /** What one of them does up to a moment, or what is said at once, in order. */
  @Select(
      """
      select person_id, at, at_once, document from guest_act
      where person_id = #{person} and at <= #{until} and at_once = #{atOnce} order by at, id
      """)
  List<ActRow> acts(long person, long until, boolean atOnce);

  @Delete("delete from guest_act where person_id = #{person} and at <= #{until}")
  void done(long person, long until);
}
