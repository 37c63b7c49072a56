package org.opentrellis.app.live;

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

  @Insert(
      """
      insert into outbox (person_id, journey_id, version, visit, step, variant, message_id, channel,
        due_at, state, try_at, said)
      values (#{personId}, #{journeyId}, #{version}, #{visit}, #{step}, #{variant}, #{messageId},
        #{channel}, #{dueAt}, #{state}, #{tryAt}, #{said})
      """)
  void insert(OutboxRow row);

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
      """
      update outbox set state = 'ON_ITS_WAY', tries = tries + 1
      where id = any(cast(#{ids, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}
        as bigint array))
      """)
  void goOut(@Param("ids") Long[] ids);

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
   * What somebody is not sent any more who has left a journey.
   *
   * @param sameMoment whether also what was to go out at the moment at which they left
   */
  @Update(
      """
      update outbox set state = 'CALLED_OFF', said = #{why}
      where person_id = #{person} and journey_id = #{journey} and visit = #{visit}
        and state = 'WAITING' and (due_at < #{leftAt} or #{sameMoment})
      """)
  void callOff(
      @Param("person") long person,
      @Param("journey") long journey,
      @Param("visit") int visit,
      @Param("leftAt") long leftAt,
      @Param("sameMoment") boolean sameMoment,
      @Param("why") String why);

  @Update(
      """
      update outbox set state = 'CALLED_OFF', said = #{why}
      where person_id = #{person} and state = 'WAITING'
      """)
  void callOffAll(@Param("person") long person, @Param("why") String why);

  @Select(
      "select count(*) from outbox where state = 'SENT' and channel = 'EMAIL'"
          + " and sent_at >= #{since}")
  long emailsSince(long since);

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
