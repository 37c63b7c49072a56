package org.opentrellis.app.live;

import static org.opentrellis.app.storage.Columns.LONGS;
import static org.opentrellis.app.storage.Columns.TEXTS;
import static org.opentrellis.app.storage.Columns.longs;
import static org.opentrellis.app.storage.Columns.texts;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.opentrellis.core.machine.PersonState;

@Mapper
interface LifeMapper {
  String ABOUT = "person_id, lot_key, begun, begun_edition, standing, edition, turns, next_at";

  /** Whoever else would take a turn of theirs waits; those of them that are there. */
  @Select("select id from person where id = any(cast(#{people" + LONGS + ") for update")
  @Options(useCache = false, flushCache = Options.FlushCachePolicy.TRUE)
  Set<Long> hold(@Param("people") Long[] people);

  @Select("select " + ABOUT + " from life where person_id = #{person}")
  @Options(useCache = false, flushCache = Options.FlushCachePolicy.TRUE)
  Optional<LifeRow> find(long person);

  @Select("select " + ABOUT + " from life where person_id = any(cast(#{people" + LONGS + ")")
  @Options(useCache = false, flushCache = Options.FlushCachePolicy.TRUE)
  List<LifeRow> some(@Param("people") Long[] people);

  /** How some people stand, of those whom a journey has known. */
  default Map<Long, PersonState> known(List<Long> people) {
    return some(people.toArray(Long[]::new)).parallelStream()
        .collect(
            Collectors.toMap(
                LifeRow::personId, row -> row.life().standing(), (one, same) -> one, TreeMap::new));
  }

  @Select("select person_id from life where person_id > #{after} order by person_id limit #{most}")
  List<Long> all(long after, int most);

  /** Those of some people whom a journey has known. */
  @Select("select person_id from life where person_id = any(cast(#{people" + LONGS + ")")
  Set<Long> among(@Param("people") Long[] people);

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

  /** Where people stand after a turn. */
  default void update(List<LifeRow> rows) {
    if (!rows.isEmpty()) {
      updateColumns(
          longs(rows, LifeRow::personId),
          texts(rows, LifeRow::standing),
          longs(rows, LifeRow::edition),
          longs(rows, LifeRow::turns),
          longs(rows, LifeRow::nextAt));
    }
  }

  @Update(
      "merge into life l using unnest(cast(#{people"
          + LONGS
          + ", cast(#{standings"
          + TEXTS
          + ", cast(#{editions"
          + LONGS
          + ", cast(#{turns"
          + LONGS
          + ", cast(#{nextAts"
          + LONGS
          + ") as c (id, standing, edition, turns, next_at) on l.person_id = c.id"
          + " when matched then update set standing = c.standing, edition = c.edition,"
          + " turns = c.turns, next_at = c.next_at")
  void updateColumns(
      Long[] people, String[] standings, Long[] editions, Long[] turns, Long[] nextAts);

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

  /** When each has a turn next. */
  default void wake(List<LifeRow> rows) {
    if (!rows.isEmpty()) {
      wakeColumns(longs(rows, LifeRow::personId), longs(rows, LifeRow::nextAt));
    }
  }

  @Update(
      "merge into life l using unnest(cast(#{people"
          + LONGS
          + ", cast(#{nextAts"
          + LONGS
          + ") as c (id, next_at) on l.person_id = c.id"
          + " when matched then update set next_at = c.next_at")
  void wakeColumns(Long[] people, Long[] nextAts);

  /** They have a turn at once. */
  @Update("update life set next_at = #{now} where person_id = any(cast(#{people" + LONGS + ")")
  void wakeAt(@Param("people") Long[] people, @Param("now") long now);

  /** Everybody inside a journey has a turn at once. */
  @Update(
      """
      update life set next_at = #{now}
      where person_id in (select person_id from visit where journey_id = #{journey})
      """)
  void wakeInside(long journey, long now);

  /** Everybody inside of any journey has a turn at once. */
  @Update(
      """
      update life set next_at = #{now} where person_id in (select person_id from visit)
      """)
  void wakeAll(long now);

  /** Some of those inside a journey. */
  @Select(
      """
      select distinct person_id from visit where journey_id = #{journey}
      order by person_id limit #{most}
      """)
  List<Long> inside(long journey, int most);

  /** Everybody inside one of some journeys. */
  @Select(
      "select distinct person_id from visit where journey_id = any(cast(#{journeys" + LONGS + ")")
  List<Long> insideAny(@Param("journeys") Long[] journeys);

  /** Everybody inside of any journey, in order of their numbers. */
  @Select("select distinct person_id from visit order by person_id")
  List<Long> insideAll();

  /** Somebody for whom something is due, and when. */
  record Due(long personId, long nextAt) {}

  @Select(
      """
      select person_id, next_at from life where next_at > -1 and next_at <= #{until}
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

  /** They are not inside any more. */
  default void leave(List<VisitRow.Key> visits) {
    if (!visits.isEmpty()) {
      leaveColumns(
          longs(visits, VisitRow.Key::personId),
          longs(visits, VisitRow.Key::journeyId),
          longs(visits, VisitRow.Key::number));
    }
  }

  @Delete(
      "merge into visit v using unnest(cast(#{people"
          + LONGS
          + ", cast(#{journeys"
          + LONGS
          + ", cast(#{numbers"
          + LONGS
          + ") as c (person_id, journey_id, number) on v.person_id = c.person_id"
          + " and v.journey_id = c.journey_id and v.number = c.number when matched then delete")
  void leaveColumns(Long[] people, Long[] journeys, Long[] numbers);

  /** Those who are inside have gone on, or entered. */
  default void stand(List<VisitRow> rows) {
    if (!rows.isEmpty()) {
      standColumns(
          longs(rows, VisitRow::personId),
          longs(rows, VisitRow::journeyId),
          longs(rows, VisitRow::number),
          longs(rows, VisitRow::version),
          texts(rows, VisitRow::step),
          longs(rows, VisitRow::enteredAt),
          longs(rows, VisitRow::steppedAt),
          longs(rows, VisitRow::untilAt));
    }
  }

  @Insert(
      "merge into visit (person_id, journey_id, number, version, step, entered_at, stepped_at,"
          + " until_at) key (person_id, journey_id, number) select * from unnest(cast(#{people"
          + LONGS
          + ", cast(#{journeys"
          + LONGS
          + ", cast(#{numbers"
          + LONGS
          + ", cast(#{versions"
          + LONGS
          + ", cast(#{steps"
          + TEXTS
          + ", cast(#{enteredAts"
          + LONGS
          + ", cast(#{steppedAts"
          + LONGS
          + ", cast(#{untilAts"
          + LONGS
          + ")")
  void standColumns(
      Long[] people,
      Long[] journeys,
      Long[] numbers,
      Long[] versions,
      String[] steps,
      Long[] enteredAts,
      Long[] steppedAts,
      Long[] untilAts);

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
