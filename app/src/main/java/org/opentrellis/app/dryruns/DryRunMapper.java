package org.opentrellis.app.dryruns;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface DryRunMapper {
  @Insert(
      """
      insert into dry_run (name, pinned, made_at, millis, engine, people, cohort, cohort_name, seed,
        start_at, horizon_days, catalogue, results, counts, lived, aside)
      values (#{row.name}, #{row.pinned}, #{row.madeAt}, #{row.millis}, #{row.engine},
        #{row.people}, #{row.cohort}, #{row.cohortName}, #{row.seed}, #{row.startAt},
        #{row.horizonDays}, #{row.catalogue}, #{row.results}, #{counts}, #{row.lived},
        #{row.aside})
      """)
  @Options(useGeneratedKeys = true, keyProperty = "id", keyColumn = "id")
  void insert(NewRunRow row);

  @Insert(
      """
      insert into dry_run_journey (run_id, number, journey_id, journey_version, journey_name,
        purpose, entered, goal_met, last_reached, document, behaviour)
      values (#{runId}, #{number}, #{journeyId}, #{journeyVersion}, #{journeyName}, #{purpose},
        #{entered}, #{goalMet}, #{lastReached}, #{document}, #{behaviour})
      """)
  void insertJourney(RunJourneyRow row);

  @Select(
      """
      select id, name, pinned, made_at, millis, engine, people, cohort, cohort_name, seed, start_at,
        horizon_days, catalogue, results, results_at, lived, aside
      from dry_run where id = #{id}
      """)
  Optional<RunRow> find(long id);

  @Select(
      """
      select run_id, number, journey_id, journey_version, journey_name, purpose, entered, goal_met,
        last_reached, document, behaviour
      from dry_run_journey where run_id = #{id} order by number
      """)
  List<RunJourneyRow> journeys(long id);

  /** The pinned first, then the newest. */
  @Select(
      """
      select r.id, j.number, r.name, r.pinned, j.journey_id, j.journey_version, j.journey_name,
        j.purpose, (select count(*) from dry_run_journey o where o.run_id = r.id) as journeys,
        r.people, r.cohort_name, r.seed, r.horizon_days, r.made_at, r.millis, j.entered, j.goal_met,
        j.last_reached, r.lived, r.aside
      from dry_run r join dry_run_journey j on j.run_id = r.id
      where #{journey,jdbcType=BIGINT} is null or j.journey_id = #{journey,jdbcType=BIGINT}
      order by r.pinned desc, r.id desc, j.number
      limit #{most} offset #{from}
      """)
  List<SummaryRow> newest(@Nullable Long journey, int from, int most);

  @Select(
      """
      select count(*) from dry_run_journey
      where #{journey,jdbcType=BIGINT} is null or journey_id = #{journey,jdbcType=BIGINT}
      """)
  int count(@Nullable Long journey);

  @Select(
      """
      <script>
      select r.id, j.number, r.name, r.pinned, j.journey_id, j.journey_version, j.journey_name,
        j.purpose, (select count(*) from dry_run_journey o where o.run_id = r.id) as journeys,
        r.people, r.cohort_name, r.seed, r.horizon_days, r.made_at, r.millis, j.entered, j.goal_met,
        j.last_reached, r.lived, r.aside
      from dry_run r join dry_run_journey j on j.run_id = r.id
      join (select journey_id, max(run_id) as run_id from dry_run_journey
        where run_id in (select id from dry_run where lived is null and not aside) and journey_id in
        <foreach item="journey" collection="list" open="(" separator="," close=")">#{journey}</foreach>
        group by journey_id) n on n.journey_id = j.journey_id and n.run_id = j.run_id
      </script>
      """)
  List<SummaryRow> newestOf(List<Long> journeys);

  @Update(
      """
      update dry_run set results = #{results}, engine = #{engine}, results_at = #{at},
        counts = #{counts}
      where id = #{id}
      """)
  void keepResults(long id, int engine, String results, byte[] counts, OffsetDateTime at);

  @Update("update dry_run set results = #{results} where id = #{id}")
  void retell(long id, String results);

  /** What a run counted, in its compact form. */
  record KeptCounts(byte @Nullable [] counts) {}

  @Select("select counts from dry_run where id = #{id}")
  Optional<KeptCounts> counts(long id);

  @Update("update dry_run set name = #{name}, pinned = #{pinned} where id = #{id}")
  int label(long id, @Nullable String name, boolean pinned);

  @Delete("delete from dry_run where id = #{id}")
  int delete(long id);
}
