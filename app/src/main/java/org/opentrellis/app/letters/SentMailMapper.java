package org.opentrellis.app.letters;

import java.time.OffsetDateTime;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

@Mapper
interface SentMailMapper {
  /**
   * Where the links of a mail lead and what they are called, as JSON.
   *
   * @param outbox of what it was; null for a test
   */
  record SentLinks(String links, @Nullable String names, boolean test, @Nullable Long outbox) {}

  @Insert(
      """
      insert into sent_mail (token_hash, message_id, message_version, test, links, link_names,
        outbox_id, sent_at)
      values (#{tokenHash}, #{message}, #{version}, #{test}, #{links}, #{names}, #{outbox}, #{at})
      """)
  void insert(
      String tokenHash,
      String message,
      int version,
      boolean test,
      String links,
      String names,
      @Nullable Long outbox,
      OffsetDateTime at);

  @Select(
      """
      select links, link_names as names, test, outbox_id as outbox from sent_mail
      where token_hash = #{tokenHash}
      """)
  Optional<SentLinks> links(String tokenHash);
}
