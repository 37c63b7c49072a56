package org.opentrellis.app.live;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Counts what became of mail, over all journeys and newsletters. */
@Mapper
interface MailHealthMapper {
  /** So often in a week. */
  record InWeek(long week, String kind, long times) {}

  /**
   * Emails that went out, by the week that begins at a moment and those after it; those that the
   * server refused for good, too.
   */
  @Select(
      """
      select week, 'SENT' as kind, count(*) as times from (
        select (sent_at - #{from}) / 604800 as week from outbox
        where channel = 'EMAIL' and sent_at >= #{from} and sent_at < #{until}
        union all
        select (try_at - #{from}) / 604800 as week from outbox
        where channel = 'EMAIL' and state = 'REFUSED' and sent_at is null
          and try_at >= #{from} and try_at < #{until})
      group by week
      """)
  List<InWeek> sent(@Param("from") long from, @Param("until") long until);

  /** What was told of them; each message comes back once. */
  @Select(
      """
      select week, kind, count(*) as times from (
        select person_id, kind, journey_id, visit, step, (min(at) - #{from}) / 604800 as week
        from happening
        where kind in ('BOUNCED', 'COMPLAINED', 'CONSENT_WITHDRAWN') and origin <> 'DONE'
          and at >= #{from} and at < #{until}
          and (kind <> 'CONSENT_WITHDRAWN' or document is null or document not like '%"TEXT"%')
        group by person_id, kind, journey_id, visit, step)
      group by week, kind
      """)
  List<InWeek> told(@Param("from") long from, @Param("until") long until);

  /**
   * Somebody who may be mailed, has been there for long enough and got mail.
   *
   * @param emails so many since then
   * @param opened so many of these messages were opened
   */
  record MailedRow(long personId, long cameAt, long emails, long opened) {}

  @Select(
      """
      select p.id as person_id, p.came_at, o.emails, coalesce(h.opened, 0) as opened from person p
      join (
        select person_id, count(*) as emails from outbox
        where channel = 'EMAIL' and sent_at >= #{from} group by person_id
      ) o on o.person_id = p.id
      left join (
        select person_id, count(*) as opened from (
          select distinct person_id, journey_id, visit, step from happening
          where kind in ('OPEN_RECORDED', 'OPENED', 'CLICKED') and at >= #{from})
        group by person_id
      ) h on h.person_id = p.id
      where p.mailing = 'MAY_BE_MAILED' and p.came_at <= #{from}
      order by p.id
      """)
  List<MailedRow> mailed(long from);
}
