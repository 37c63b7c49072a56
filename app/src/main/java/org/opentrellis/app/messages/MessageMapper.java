package org.opentrellis.app.messages;

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
      select id, name, channel, subject, links, voucher, version, created_at from message
      order by created_at, id
      """)
  List<MessageRow> all();

  @Select(
      """
      select id, name, channel, subject, links, voucher, version, created_at from message where id = #{id}
      """)
  Optional<MessageRow> find(String id);

  @Select(
      """
      select id, name, channel, subject, links, voucher, version, created_at from message
      where name = #{name}
      """)
  Optional<MessageRow> named(String name);

  @Insert(
      """
      insert into message (id, name, channel, subject, links, voucher, version, created_at)
      values (#{id}, #{name}, #{channel}, #{subject}, #{links}, #{voucher}, #{version},
        #{createdAt})
      """)
  void insert(MessageRow row);

  /** Returns 0 when somebody else has saved since. */
  @Update(
      """
      update message set name = #{name}, channel = #{channel}, subject = #{subject},
        links = #{links}, voucher = #{voucher},
        version = version + 1
      where id = #{id} and version = #{version}
      """)
  int update(MessageRow row);
}
