package org.opentrellis.app.dryruns;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;

@Mapper
interface DryRunMapper {
  @Insert(
      """
      insert into dry_run (journey_id, journey_version, journey_name, purpose, people, seed,
        horizon_days, made_at, millis, entered, goal_met, last_reached, document, behaviour,
        catalogue, start_at, results)
      values (#{summary.journeyId}, #{summary.journeyVersion}, #{summary.journeyName},
        #{summary.purpose}, #{summary.people}, #{summary.seed}, #{summary.horizonDays},
        #{summary.madeAt}, #{summary.millis}, #{summary.entered}, #{summary.goalMet},
        #{summary.lastReached}, #{content.document}, #{content.behaviour}, #{content.catalogue},
        #{content.startAt}, #{content.results})
      """)
  @Options(useGeneratedKeys = true, keyProperty = "id", keyColumn = "id")
  void insert(NewDryRunRow row);

  @Select(
      """
      select document, behaviour, catalogue, start_at, results from dry_run where id = #{id}
      """)
  Optional<DryRunRow> content(long id);

  @Select(
      """
      select id, journey_id, journey_version, journey_name, purpose, people, seed, horizon_days,
        made_at, millis, entered, goal_met, last_reached
      from dry_run where id = #{id}
      """)
  Optional<SummaryRow> summary(long id);

  /** The newest first. */
  @Select(
      """
      select id, journey_id, journey_version, journey_name, purpose, people, seed, horizon_days,
        made_at, millis, entered, goal_met, last_reached
      from dry_run order by id desc limit 200
      """)
  List<SummaryRow> newest();
}
