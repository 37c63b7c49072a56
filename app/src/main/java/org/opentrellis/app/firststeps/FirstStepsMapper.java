package org.opentrellis.app.firststeps;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Looks, in the tables of others, whether there is anything at all; it changes none of them. */
@Mapper
interface FirstStepsMapper {

  /** What is there. */
  record Done(
      boolean putAway,
      boolean people,
      boolean messages,
      boolean journeys,
      boolean dryRuns,
      boolean tried,
      boolean opened) {}

  @Select(
      """
      select put_away,
        exists (select 1 from person) or exists (select 1 from entrance) as people,
        exists (select 1 from message) as messages,
        exists (select 1 from journey where kind = 'JOURNEY' and not archived) as journeys,
        exists (select 1 from dry_run) as dry_runs,
        tried,
        exists (select 1 from edition) as opened
      from first_steps
      """)
  Done done();

  /** The journey that was saved last. */
  @Select(
      "select id from journey where kind = 'JOURNEY' and not archived order by saved_at desc, id desc limit 1")
  Optional<Long> journey();

  @Update("update first_steps set tried = true")
  void tried();

  @Update("update first_steps set put_away = #{away}")
  void putAway(boolean away);
}
