package org.opentrellis.app.messages;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface MessageMapper {
  @Select(
      """
      select id, name, channel, headline, links, voucher, version, created_at from message
      order by created_at, id
      """)
  List<MessageRow> all();

  @Select(
      """
      select id, name, channel, headline, links, voucher, version, created_at from message where id = #{id}
      """)
  Optional<MessageRow> find(String id);

  @Select(
      """
      select id, name, channel, headline, links, voucher, version, created_at from message
      where name = #{name}
      """)
  Optional<MessageRow> named(String name);

  @Insert(
      """
      insert into message (id, name, channel, headline, links, voucher, version, created_at)
      values (#{id}, #{name}, #{channel}, #{headline}, #{links}, #{voucher}, #{version},
        #{createdAt})
      """)
  void insert(MessageRow row);

  @Insert(
      """
      insert into message_version (message_id, version, name, channel, headline, links, voucher,
        saved_at)
      values (#{row.id}, #{row.version}, #{row.name}, #{row.channel}, #{row.headline},
        #{row.links}, #{row.voucher}, #{savedAt})
      """)
  void keepVersion(MessageRow row, OffsetDateTime savedAt);

  @Select(
      """
      select message_id as id, name, channel, headline, links, voucher, version,
        saved_at as created_at
      from message_version where message_id = #{id} order by version desc
      """)
  List<MessageRow> versions(String id);

  /** Returns 0 when somebody else has saved since. */
  @Update(
      """
      update message set name = #{name}, channel = #{channel}, headline = #{headline},
        links = #{links}, voucher = #{voucher},
        version = version + 1
      where id = #{id} and version = #{version}
      """)
  int update(MessageRow row);
}
