package org.opentrellis.app.live;

import static org.opentrellis.app.storage.Columns.LONGS;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;

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
  @Select("select person_id from guest where person_id = any(cast(#{people" + LONGS + ")")
  Set<Long> among(@Param("people") Long[] people);

  /** A crowd's people, in the order in which they were drawn. */
  @Select("select person_id from guest where crowd = #{crowd} order by person_id")
  List<Long> of(int crowd);

  /** Something that one of them is going to do. */
  record ActRow(long personId, long at, boolean atOnce, String document) {
    Happening act() {
      return Documents.readHappening(Json.tree(document));
    }
  }

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

  /** All lots of some of them. */
  @Select(
      "select person_id, journey_id, visit, step, way from guest_lot where person_id = any(cast(#{people"
          + LONGS
          + ")")
  List<LotRow> lots(@Param("people") Long[] people);

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

  /** What some of them do up to a moment, or what is said at once, in order. */
  @Select(
      "select person_id, at, at_once, document from guest_act where person_id = any(cast(#{people"
          + LONGS
          + ") and at <= #{until} and at_once = #{atOnce} order by at, id")
  List<ActRow> acts(Long[] people, long until, boolean atOnce);

  /** What each of them has done up to a moment. */
  @Delete(
      "merge into guest_act a using unnest(cast(#{people"
          + LONGS
          + ", cast(#{untils"
          + LONGS
          + ") as c (person_id, until) on a.person_id = c.person_id and a.at <= c.until"
          + " when matched then delete")
  void done(Long[] people, Long[] untils);
}
