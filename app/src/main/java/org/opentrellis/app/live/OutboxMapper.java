package org.opentrellis.app.live;

import static org.opentrellis.app.storage.Columns.LONGS;
import static org.opentrellis.app.storage.Columns.TEXTS;
import static org.opentrellis.app.storage.Columns.longs;
import static org.opentrellis.app.storage.Columns.texts;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface OutboxMapper {
  String ABOUT =
      "id, person_id, journey_id, version, visit, step, variant, message_id, channel, due_at, state,"
          + " tries, try_at, sent_at, said, again";

  /** Adds messages, in their order. */
  default void insert(List<OutboxRow> rows) {
    if (!rows.isEmpty()) {
      insertColumns(
          longs(rows, OutboxRow::personId),
          longs(rows, OutboxRow::journeyId),
          longs(rows, OutboxRow::version),
          longs(rows, OutboxRow::visit),
          texts(rows, OutboxRow::step),
          texts(rows, OutboxRow::variant),
          texts(rows, OutboxRow::messageId),
          texts(rows, row -> row.channel().name()),
          longs(rows, OutboxRow::dueAt),
          texts(rows, row -> row.state().name()),
          longs(rows, OutboxRow::tryAt),
          texts(rows, OutboxRow::said));
    }
  }

  @Insert(
      "insert into outbox (person_id, journey_id, version, visit, step, variant, message_id,"
          + " channel, due_at, state, try_at, said) select * from unnest(cast(#{people"
          + LONGS
          + ", cast(#{journeys"
          + LONGS
          + ", cast(#{versions"
          + LONGS
          + ", cast(#{visits"
          + LONGS
          + ", cast(#{steps"
          + TEXTS
          + ", cast(#{variants"
          + TEXTS
          + ", cast(#{messages"
          + TEXTS
          + ", cast(#{channels"
          + TEXTS
          + ", cast(#{dueAts"
          + LONGS
          + ", cast(#{states"
          + TEXTS
          + ", cast(#{tryAts"
          + LONGS
          + ", cast(#{said"
          + TEXTS
          + ")")
  void insertColumns(
      Long[] people,
      Long[] journeys,
      Long[] versions,
      Long[] visits,
      String[] steps,
      String[] variants,
      String[] messages,
      String[] channels,
      Long[] dueAts,
      String[] states,
      Long[] tryAts,
      String[] said);

  @Select("select " + ABOUT + " from outbox where id = #{id}")
  Optional<OutboxRow> find(long id);

  @Select(
      "select "
          + ABOUT
          + " from outbox where state = 'WAITING' and try_at <= #{until}"
          + " order by try_at, id limit #{most} for update")
  @Options(useCache = false, flushCache = Options.FlushCachePolicy.TRUE)
  List<OutboxRow> due(long until, int most);

  @Select("select min(try_at) from outbox where state = 'WAITING'")
  Optional<Long> next();

  /** They are being handed over. */
  @Update(
      "update outbox set state = 'ON_ITS_WAY', tries = tries + 1 where id = any(cast(#{ids"
          + LONGS
          + ")")
  void goOut(@Param("ids") Long[] ids);

  /** The server has taken them, each at a moment. */
  @Update(
      "merge into outbox o using unnest(cast(#{ids"
          + LONGS
          + ", cast(#{ats"
          + LONGS
          + ") as c (id, at) on o.id = c.id when matched then update"
          + " set state = 'SENT', sent_at = c.at, said = null")
  void taken(Long[] ids, Long[] ats);

  @Update(
      """
      update outbox set state = #{state}, try_at = #{tryAt}, sent_at = #{sentAt}, said = #{said}
      where id = #{id}
      """)
  void note(
      @Param("id") long id,
      @Param("state") OutboxRow.State state,
      @Param("tryAt") long tryAt,
      @Param("sentAt") @Nullable Long sentAt,
      @Param("said") @Nullable String said);

  /** After a crash: nobody knows whether they went out, so they are tried again. */
  @Update(
      """
      update outbox set state = 'WAITING', again = true where state = 'ON_ITS_WAY'
      """)
  int tryAgain();

  /**
   * A visit that somebody has left.
   *
   * @param sameMoment whether also what was to go out at the moment at which they left is called
   *     off
   */
  record Left(long person, long journey, int visit, long at, boolean sameMoment) {
    /** What was due before this is called off. */
    long until() {
      return sameMoment ? Long.MAX_VALUE : at;
    }
  }

  /** What is not sent any more to those who have left a journey. */
  default void callOff(List<Left> visits, String why) {
    if (!visits.isEmpty()) {
      callOffColumns(
          longs(visits, Left::person),
          longs(visits, Left::journey),
          longs(visits, Left::visit),
          longs(visits, Left::until),
          why);
    }
  }

  @Update(
      "merge into outbox o using unnest(cast(#{people"
          + LONGS
          + ", cast(#{journeys"
          + LONGS
          + ", cast(#{visits"
          + LONGS
          + ", cast(#{untils"
          + LONGS
          + ") as c (person_id, journey_id, visit, until) on o.person_id = c.person_id"
          + " and o.journey_id = c.journey_id and o.visit = c.visit and o.state = 'WAITING'"
          + " and o.due_at < c.until"
          + " when matched then update set state = 'CALLED_OFF', said = #{why}")
  void callOffColumns(Long[] people, Long[] journeys, Long[] visits, Long[] untils, String why);

  @Update(
      """
      update outbox set state = 'CALLED_OFF', said = #{why}
      where person_id = #{person} and state = 'WAITING'
      """)
  void callOffAll(@Param("person") long person, @Param("why") String why);

  /** Nothing of a journey that has not gone yet goes any more. */
  @Update(
      """
      update outbox set state = 'CALLED_OFF', said = #{why}
      where journey_id = #{journey} and state = 'WAITING'
      """)
  int callOffOf(@Param("journey") long journey, @Param("why") String why);

  /** When somebody was last mailed, or is being mailed. */
  record LastMailed(long person, long at) {}

  @Select(
      "select person_id as person, max(coalesce(sent_at, try_at)) as at from outbox"
          + " where person_id = any(cast(#{people"
          + LONGS
          + ") and channel = 'EMAIL' and state in ('SENT', 'ON_ITS_WAY') group by person_id")
  List<LastMailed> lastMailed(@Param("people") Long[] people);

  @Select(
      "select count(*) from outbox where state = 'SENT' and channel = 'EMAIL'"
          + " and sent_at >= #{since}")
  long emailsSince(long since);

  /** Emails that went out, by journey and hour. */
  @Select(
      """
      select journey_id as journey, floor(sent_at / 3600) as "HOUR", count(*) as emails
      from outbox where channel = 'EMAIL' and state = 'SENT' and sent_at >= #{from}
        and sent_at < #{to}
      group by journey_id, floor(sent_at / 3600)
      """)
  List<Insiders.Gone> goneByHour(@Param("from") long from, @Param("to") long to);

  /** To how many a step's message went out. */
  record SentBy(String step, long people) {}

  @Select(
      """
      select step, count(*) as people from outbox
      where journey_id = #{journey} and state = 'SENT' and sent_at <= #{upTo} group by step
      """)
  List<SentBy> sentBy(@Param("journey") long journey, @Param("upTo") long upTo);

  @Select("select count(*) from outbox where journey_id = #{journey} and state = 'WAITING'")
  long waitingOf(long journey);

  /** Those of somebody, the last first. */
  @Select("select " + ABOUT + " from outbox where person_id = #{person} order by id desc")
  List<OutboxRow> of(long person);

  /** Those that have to wait or were refused, with the reason, the last first. */
  @Select(
      "select "
          + ABOUT
          + " from outbox where state = 'REFUSED' or state = 'WAITING' and said is not null"
          + " order by id desc limit #{most}")
  List<OutboxRow> troubled(int most);

  /** How many were handed over of which nobody has noted what came of it. */
  @Select("select count(*) from outbox where state = 'ON_ITS_WAY'")
  long underWay();

  @Select("select count(*) from outbox where state = 'WAITING'")
  long waiting();

  /** How many may have gone out twice, since a crash came between the server's yes and the note. */
  @Select("select count(*) from outbox where again = true")
  long sentAgain();
}
