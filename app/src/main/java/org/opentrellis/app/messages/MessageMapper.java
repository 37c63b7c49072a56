package org.opentrellis.app.messages;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface MessageMapper {
  /** What lists show, without the manuscript. */
  String SEEN =
      """
      id, name, channel, headline, links, voucher, cast(null as varchar) as manuscript, labels,
      archived_at, starter, version, created_at
      """;

  String WHOLE =
      """
      id, name, channel, headline, links, voucher, manuscript, labels, archived_at, starter,
      version, created_at
      """;

  String OF_VERSION =
      """
      message_id as id, name, channel, headline, links, voucher, manuscript, '[]' as labels,
      cast(null as timestamp with time zone) as archived_at, cast(null as varchar) as starter,
      version, saved_at as created_at
      """;

  @Select("select " + SEEN + " from message order by created_at, id")
  List<MessageRow> all();

  @Select("select " + WHOLE + " from message where id = #{id}")
  Optional<MessageRow> find(String id);

  @Select("select " + SEEN + " from message where name = #{name}")
  Optional<MessageRow> named(String name);

  @Select("select " + WHOLE + " from message where manuscript like concat('%', #{text}, '%')")
  List<MessageRow> holding(String text);

  @Insert(
      """
      insert into message (id, name, channel, headline, links, voucher, manuscript, labels,
        starter, version, created_at)
      values (#{id}, #{name}, #{channel}, #{headline}, #{links}, #{voucher}, #{manuscript},
        #{labels}, #{starter}, #{version}, #{createdAt})
      """)
  void insert(MessageRow row);

  @Insert(
      """
      insert into message_version (message_id, version, name, channel, headline, links, voucher,
        manuscript, saved_at)
      values (#{id}, #{version}, #{name}, #{channel}, #{headline}, #{links}, #{voucher},
        #{manuscript}, #{createdAt})
      """)
  void keepVersion(MessageRow row);

  @Select(
      "select "
          + OF_VERSION
          + " from message_version where message_id = #{id} order by version desc")
  List<MessageRow> versions(String id);

  @Select(
      "select "
          + OF_VERSION
          + " from message_version where message_id = #{id} and version = #{version}")
  Optional<MessageRow> version(String id, int version);

  @Select(
      "select "
          + OF_VERSION
          + " from message_version where manuscript like concat('%', #{text}, '%')")
  List<MessageRow> versionsHolding(String text);

  @Update(
      """
      update message_version set manuscript = #{manuscript}
      where message_id = #{id} and version = #{version}
      """)
  void rewriteVersion(String id, int version, String manuscript);

  /** Returns 0 when somebody else has saved since. */
  @Update(
      """
      update message set name = #{name}, channel = #{channel}, headline = #{headline},
        links = #{links}, voucher = #{voucher}, manuscript = #{manuscript}, labels = #{labels},
        version = version + 1
      where id = #{id} and version = #{version}
      """)
  int update(MessageRow row);

  @Update("update message set archived_at = #{at} where id = #{id}")
  void archive(String id, @Nullable OffsetDateTime at);
}
