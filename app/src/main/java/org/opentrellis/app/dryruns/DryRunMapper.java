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
      insert into dry_run (journey_id, journey_version, document, behaviour, messages, people,
        seed, start_at, horizon_days, made_at, millis, results)
      values (#{values.journeyId}, #{values.journeyVersion}, #{values.document},
        #{values.behaviour}, #{values.messages}, #{values.people}, #{values.seed},
        #{values.startAt}, #{values.horizonDays}, #{values.madeAt}, #{values.millis},
        #{values.results})
      """)
  @Options(useGeneratedKeys = true, keyProperty = "id")
  void insert(NewDryRunRow row);

  @Select(
      """
      select id, journey_id, journey_version, document, behaviour, messages, people, seed,
        start_at, horizon_days, made_at, millis, results
      from dry_run where id = #{id}
      """)
  Optional<DryRunRow> find(long id);

  /** The newest first. */
  @Select(
      """
      select id, journey_id, journey_version, document, behaviour, messages, people, seed,
        start_at, horizon_days, made_at, millis, results
      from dry_run order by id desc limit 200
      """)
  List<DryRunRow> newest();
}
