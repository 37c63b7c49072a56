package org.opentrellis.app.journeys;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface CardMapper {
  /** A new or changed card has no picture yet, and its findings are still to be looked for. */
  @Insert(
      """
      merge into journey_card c using (select cast(#{journeyId} as bigint) as id) v
        on c.journey_id = v.id
      when matched then update set form = #{form}, made = made + 1, purpose = #{purpose},
        state = #{state}, search = #{search}, opening = #{opening}, goal = #{goal},
        body = #{body}, neighbour = #{neighbour}, names = #{names}, revision = #{revision},
        checked_at = 0, sketch = null
      when not matched then insert (journey_id, form, made, purpose, state, search, opening, goal,
        body, neighbour, names, revision, findings, checked_at, checked_on)
      values (#{journeyId}, #{form}, 1, #{purpose}, #{state}, #{search}, #{opening}, #{goal},
        #{body}, #{neighbour}, #{names}, #{revision}, 0, 0, current_date)
      """)
  void keep(CardRow row);

  @Update(
      """
      update journey_card set findings = #{findings}, worst = #{worst},
        first_place = #{firstPlace}, checked_at = #{checked.at}, checked_on = #{checked.day},
        checked_carried = #{checked.carried}
      where journey_id = #{journeyId}
        and exists (select 1 from journey where id = #{journeyId} and version = #{version}
          and behaviour_version = #{behaviourVersion})
      """)
  void keepFindings(
      @Param("journeyId") long journeyId,
      @Param("version") int version,
      @Param("behaviourVersion") int behaviourVersion,
      @Param("findings") int findings,
      @Param("worst") @Nullable String worst,
      @Param("firstPlace") @Nullable String firstPlace,
      @Param("checked") Checked checked);

  /** Whether somebody was put away, or brought back: the others look anew. */
  @Update("update journey_card set revision = #{revision} where journey_id = #{journey}")
  void touch(@Param("journey") long journey, @Param("revision") long revision);

  @Select("select sketch is not null from journey_card where journey_id = #{journey}")
  boolean hasSketch(long journey);

  /** Keeps a picture, unless the card has been made anew since. */
  @Update(
      "update journey_card set sketch = #{sketch} where journey_id = #{journey} and made = #{made}")
  void keepSketch(
      @Param("journey") long journey, @Param("made") int made, @Param("sketch") String sketch);

  @Select("select made from journey_card where journey_id = #{journey}")
  int made(long journey);

  /** What the findings on a card are of. */
  record Checked(long at, long carried, LocalDate day) {}

  @Select(
      """
      select checked_at as at, checked_carried as carried, checked_on as "DAY" from journey_card where journey_id = #{journey}
      """)
  Checked checked(long journey);

  /** Journeys that have no picture yet. */
  @Select(
      """
      select c.journey_id from journey_card c join journey j on j.id = c.journey_id
      where c.sketch is null and not j.archived and j.kind = 'JOURNEY' order by c.journey_id
      """)
  List<Long> withoutSketch();

  /** What has changed since a revision. */
  @Select(
      """
      select j.id, j.kind, j.name, j.archived, c.neighbour, c.names, c.revision
      from journey_card c join journey j on j.id = c.journey_id
      where c.revision > #{revision} order by j.id
      """)
  List<FactsRow> factsSince(long revision);

  @Select(
      """
      select j.id, j.kind, j.name, j.archived, c.neighbour, c.names, c.revision
      from journey_card c join journey j on j.id = c.journey_id where j.id = #{journey}
      """)
  Optional<FactsRow> facts(long journey);

  /** Journeys whose card is missing, or of an earlier form. */
  @Select(
      """
      select j.id from journey j left join journey_card c on c.journey_id = j.id
      where c.form is null or c.form <> #{form} order by j.id
      """)
  List<Long> outOfForm(int form);

  @Select(
      """
      <script>
      select j.id, j.name, j.version, j.saved_at, c.purpose, c.state, c.opening, c.goal, c.body,
        c.findings, c.worst, c.first_place, c.checked_at, c.checked_on, c.checked_carried, c.sketch
      from journey_card c join journey j on j.id = c.journey_id
      where j.archived = #{archived} and j.kind = 'JOURNEY'
      <foreach item="word" collection="words">and c.search like #{word} escape '!' </foreach>
      order by j.id limit #{most} offset #{from}
      </script>
      """)
  List<ListedRow> page(
      @Param("archived") boolean archived,
      @Param("words") List<String> words,
      @Param("from") int from,
      @Param("most") int most);

  @Select(
      """
      <script>
      select count(*) from journey_card c join journey j on j.id = c.journey_id
      where j.archived = #{archived} and j.kind = 'JOURNEY'
      <foreach item="word" collection="words">and c.search like #{word} escape '!' </foreach>
      </script>
      """)
  int count(@Param("archived") boolean archived, @Param("words") List<String> words);

  /** The journeys that people enter. */
  @Select("select journey_id from journey_card where state = 'OPEN'")
  List<Long> open();
}
