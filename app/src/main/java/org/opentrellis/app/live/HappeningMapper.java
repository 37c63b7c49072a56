package org.opentrellis.app.live;

import static org.opentrellis.app.storage.Columns.LONGS;
import static org.opentrellis.app.storage.Columns.TEXTS;
import static org.opentrellis.app.storage.Columns.longs;
import static org.opentrellis.app.storage.Columns.texts;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface HappeningMapper {
  String COLUMNS =
      "person_id, turn, turn_at, edition, origin, at, kind, journey_id, version, visit, step,"
          + " detail, document";

  /** Adds lines, in their order. */
  default void insert(List<HappeningRow> rows) {
    if (!rows.isEmpty()) {
      insertColumns(
          longs(rows, HappeningRow::personId),
          longs(rows, HappeningRow::turn),
          longs(rows, HappeningRow::turnAt),
          longs(rows, HappeningRow::edition),
          texts(rows, row -> row.origin().name()),
          longs(rows, HappeningRow::at),
          texts(rows, HappeningRow::kind),
          longs(rows, HappeningRow::journeyId),
          longs(rows, HappeningRow::version),
          longs(rows, HappeningRow::visit),
          texts(rows, HappeningRow::step),
          texts(rows, HappeningRow::detail),
          texts(rows, HappeningRow::document));
    }
  }

  @Insert(
      "insert into happening ("
          + COLUMNS
          + ") select * from unnest(cast(#{people"
          + LONGS
          + ", cast(#{turns"
          + LONGS
          + ", cast(#{turnAts"
          + LONGS
          + ", cast(#{editions"
          + LONGS
          + ", cast(#{origins"
          + TEXTS
          + ", cast(#{ats"
          + LONGS
          + ", cast(#{kinds"
          + TEXTS
          + ", cast(#{journeys"
          + LONGS
          + ", cast(#{versions"
          + LONGS
          + ", cast(#{visits"
          + LONGS
          + ", cast(#{steps"
          + TEXTS
          + ", cast(#{details"
          + TEXTS
          + ", cast(#{documents"
          + TEXTS
          + ")")
  void insertColumns(
      Long[] people,
      Long[] turns,
      Long[] turnAts,
      Long[] editions,
      String[] origins,
      Long[] ats,
      String[] kinds,
      Long[] journeys,
      Long[] versions,
      Long[] visits,
      String[] steps,
      String[] details,
      String[] documents);

  /** All that happened to somebody, in order. */
  @Select("select " + COLUMNS + " from happening where person_id = #{person} order by id")
  List<HappeningRow> of(long person);

  /** Something that was told of somebody, as JSON. */
  record ToldRow(long personId, String document) {}

  /** What was told of people at some moments. */
  @Select(
      "select person_id, document from happening where person_id = any(cast(#{people"
          + LONGS
          + ") and origin = 'TOLD' and document is not null and at = any(cast(#{ats"
          + LONGS
          + ")")
  Set<ToldRow> toldBefore(Long[] people, Long[] ats);

  /** Those who came to a journey, in order of their numbers; whoever was forgotten is not there. */
  @Select(
      """
      select distinct h.person_id from happening h join life l on l.person_id = h.person_id
      where h.journey_id = #{journey} and h.kind in ('ENTERED', 'KEPT_OUT', 'TURNED_AWAY')
      order by h.person_id
      """)
  List<Long> cameTo(long journey);

  /** Whether somebody has entered a journey who is not forgotten. */
  @Select(
      """
      select exists (select 1 from happening h join life l on l.person_id = h.person_id
        where h.journey_id = #{journey} and h.kind = 'ENTERED')
      """)
  boolean isEntered(long journey);

  /** When the first of them came, in epoch seconds. */
  @Select("select min(at) from happening where journey_id = #{journey} and kind = 'ENTERED'")
  Optional<Long> firstEntry(long journey);

  /** How many entered a journey who were forgotten since. */
  @Select(
      """
      select count(*) from happening where journey_id = #{journey} and kind = 'ENTERED'
        and person_id not in (select person_id from life)
      """)
  long forgotten(long journey);

  /** The last that happened to anybody. */
  @Select(
      "select " + COLUMNS + " from happening where origin <> 'TURN' order by id desc limit #{most}")
  List<HappeningRow> newest(int most);

  /** How often something happened in each journey. */
  record Times(long journeyId, String kind, long times) {}

  @Select(
      """
      select journey_id, kind, count(*) as times from happening
      where id > #{after} and id <= #{upTo} and kind in ('ENTERED', 'LEFT', 'FINISHED')
      group by journey_id, kind
      """)
  List<Times> counts(long after, long upTo);

  /** How many entered each journey from a moment on. */
  @Select(
      """
      select journey_id, kind, count(*) as times from happening
      where kind = 'ENTERED' and at >= #{from} and journey_id is not null group by journey_id, kind
      """)
  List<Times> enteredSince(long from);

  /** What was told of some kinds after one moment and up to another; not of who was forgotten. */
  default List<HappeningRow> toldBetween(List<String> kinds, long from, long until) {
    return toldOf(kinds.toArray(String[]::new), from, until);
  }

  @Select(
      "select "
          + COLUMNS
          + " from happening where kind = any(cast(#{kinds"
          + TEXTS
          + ") and origin <> 'DONE' and document is not null"
          + " and at > #{from} and at <= #{until} order by id")
  List<HappeningRow> toldOf(
      @Param("kinds") String[] kinds, @Param("from") long from, @Param("until") long until);

  /** How often people entered some journeys, and when last. */
  @Select(
      "select journey_id, count(*) as times, max(at) as last_at from happening"
          + " where kind = 'ENTERED' and journey_id = any(cast(#{journeys"
          + LONGS
          + ") group by journey_id")
  List<RulesActed.Acted> entered(@Param("journeys") Long[] journeys);

  /** How many people each happened to, of a step that sends. */
  record StepFigures(
      String step, long delivered, long bounced, long opened, long clicked, long unsubscribed) {}

  @Select(
      """
      select step,
        count(distinct case when kind = 'DELIVERED' then person_id end) as delivered,
        count(distinct case when kind = 'BOUNCED' then person_id end) as bounced,
        count(distinct case when kind in ('OPEN_RECORDED', 'OPENED') then person_id end)
          as opened,
        count(distinct case when kind = 'CLICKED' then person_id end) as clicked,
        count(distinct case when kind = 'CONSENT_WITHDRAWN' then person_id end) as unsubscribed
      from happening
      where journey_id = #{journey} and at <= #{upTo} and step is not null
        and kind in ('DELIVERED', 'BOUNCED', 'OPEN_RECORDED', 'OPENED', 'CLICKED',
          'CONSENT_WITHDRAWN')
      group by step order by step
      """)
  List<StepFigures> figures(@Param("journey") long journey, @Param("upTo") long upTo);

  @Select("select coalesce(max(id), 0) from happening")
  long last();

  /** What was told, as JSON. */
  record Told(long id, String document) {}

  /** Those in which some text stands. */
  @Select("select id, document from happening where locate(#{text}, document) > 0 order by id")
  List<Told> holding(String text);

  @Update("update happening set document = #{document} where id = #{id}")
  void rewrite(@Param("id") long id, @Param("document") String document);

  /** What somebody said who was forgotten; that it happened still counts. */
  @Update(
      "update happening set document = null, detail = null where person_id = #{person}"
          + " and origin = 'TOLD'")
  void forget(long person);
}
