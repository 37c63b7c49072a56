package org.opentrellis.app.standins;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

@Mapper
interface InboxMapper {
  String ABOUT = "id, address, sender, subject, bytes, millis, came_at";

  /** A mail without what is in it. */
  record InboxRow(
      long id,
      String address,
      String sender,
      String subject,
      int bytes,
      @Nullable Long millis,
      OffsetDateTime cameAt) {}

  record MailContent(byte[] content) {}

  /** A mail with what is in it. */
  record NewMail(
      String address,
      String key,
      String sender,
      String subject,
      int bytes,
      @Nullable Long millis,
      OffsetDateTime cameAt,
      byte[] content) {}

  @Insert(
      """
      insert into inbox_mail (address, address_key, sender, subject, bytes, millis, came_at,
        content)
      values (#{address}, #{key}, #{sender}, #{subject}, #{bytes}, #{millis}, #{cameAt},
        #{content})
      """)
  void insert(NewMail mail);

  @Select(
      "select " + ABOUT + " from inbox_mail where id < #{before} order by id desc limit #{most}")
  List<InboxRow> page(long before, int most);

  @Select(
      "select "
          + ABOUT
          + " from inbox_mail where address_key = #{key} and id < #{before} order by id desc limit #{most}")
  List<InboxRow> pageOf(String key, long before, int most);

  @Select("select count(*) from inbox_mail")
  long count();

  @Select("select " + ABOUT + " from inbox_mail where id = #{id}")
  Optional<InboxRow> find(long id);

  @Select("select content from inbox_mail where id = #{id}")
  Optional<MailContent> content(long id);

  @Delete("delete from inbox_mail where address_key = #{key}")
  void forget(String key);

  @Delete("delete from inbox_mail")
  void empty();
}
