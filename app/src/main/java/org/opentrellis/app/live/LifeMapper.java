package org.opentrellis.app.live;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface LifeMapper {
  String ABOUT = "person_id, lot_key, begun, begun_edition, standing, edition, turns, next_at";

  /** Whoever else would take a turn of theirs waits; nothing if there is no such person. */
  @Select("select id from person where id = #{person} for update")
  @Options(useCache = false, flushCache = Options.FlushCachePolicy.TRUE)
  Optional<Long> hold(long person);

  @Select("select " + ABOUT + " from life where person_id = #{person}")
  @Options(useCache = false, flushCache = Options.FlushCachePolicy.TRUE)
  Optional<LifeRow> find(long person);

  @Select("select person_id from life where person_id > #{after} order by person_id limit #{most}")
  List<Long> all(long after, int most);

  /** Whether a journey has known them. */
  @Select("select exists (select 1 from life where person_id = #{person})")
  boolean isThere(long person);

  @Insert(
      """
      insert into life (person_id, lot_key, begun, begun_edition, standing, edition, turns, next_at)
      values (#{personId}, #{lotKey}, #{begun}, #{begunEdition}, #{standing}, #{edition}, #{turns},
        #{nextAt})
      """)
  void insert(LifeRow row);

  @Update(
      """
      update life set standing = #{standing}, edition = #{edition}, turns = #{turns},
        next_at = #{nextAt}
      where person_id = #{person}
      """)
  void update(
      @Param("person") long person,
      @Param("standing") String standing,
      @Param("edition") int edition,
      @Param("turns") int turns,
      @Param("nextAt") @Nullable Long nextAt);

  /** Those in which some text stands. */
  @Select(
      "select "
          + ABOUT
          + " from life where locate(#{text}, standing) > 0 or locate(#{text}, begun) > 0"
          + " order by person_id")
  List<LifeRow> holding(String text);

  @Update("update life set begun = #{begun}, standing = #{standing} where person_id = #{person}")
  void rewrite(
      @Param("person") long person,
      @Param("begun") String begun,
      @Param("standing") String standing);

  @Update("update life set next_at = #{nextAt} where person_id = #{person}")
  void wake(@Param("person") long person, @Param("nextAt") @Nullable Long nextAt);

  /** Everybody inside a journey has a turn at once. */
  @Update(
      """
      update life set next_at = #{now}
      where person_id in (select person_id from visit where journey_id = #{journey})
      """)
  void wakeInside(long journey, long now);

  /** Some of those inside a journey. */
  @Select(
      """
      select distinct person_id from visit where journey_id = #{journey}
      order by person_id limit #{most}
      """)
  List<Long> inside(long journey, int most);

  /** Somebody for whom something is due, and when. */
  record Due(long personId, long nextAt) {}

  @Select(
      """
      select person_id, next_at from life where next_at <= #{until}
        and person_id not in (select person_id from put_off)
      order by next_at, person_id limit #{most}
      """)
  List<Due> due(long until, int most);

  @Select(
      """
      select next_at from life
      where next_at > -1 and person_id not in (select person_id from put_off)
      order by next_at limit 1
      """)
  Optional<Long> next();

  @Delete(
      """
      delete from visit where person_id = #{personId} and journey_id = #{journeyId}
        and number = #{number}
      """)
  void leave(VisitRow.Key visit);

  @Update(
      """
      update visit set version = #{version}, step = #{step}, entered_at = #{enteredAt},
        stepped_at = #{steppedAt}, until_at = #{untilAt}
      where person_id = #{personId} and journey_id = #{journeyId} and number = #{number}
      """)
  void goOn(VisitRow row);

  @Insert(
      """
      insert into visit (person_id, journey_id, number, version, step, entered_at, stepped_at,
        until_at)
      values (#{personId}, #{journeyId}, #{number}, #{version}, #{step}, #{enteredAt},
        #{steppedAt}, #{untilAt})
      """)
  void stand(VisitRow row);

  @Select(
      """
      select person_id, journey_id, number, version, step, entered_at, stepped_at, until_at
      from visit where person_id = #{person} order by entered_at, journey_id
      """)
  List<VisitRow> stands(long person);

  /** How many stand at a step. */
  record AtStep(long journeyId, String step, long people) {}

  @Select(
      """
      select journey_id, step, count(*) as people from visit group by journey_id, step
      """)
  List<AtStep> atSteps();

  @Select(
      """
      select journey_id, step, count(*) as people from visit where journey_id = #{journey}
      group by journey_id, step
      """)
  List<AtStep> atStepsOf(long journey);

  /** Those who stand at a step of a journey, the longest there first. */
  @Select(
      """
      select person_id, journey_id, number, version, step, entered_at, stepped_at, until_at
      from visit where journey_id = #{journey} and step = #{step}
      order by stepped_at, person_id limit #{most}
      """)
  List<VisitRow> atStep(long journey, String step, int most);
}
