package org.opentrellis.app.letters;

import java.time.OffsetDateTime;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SentMailMapper {
  /** Where the links of a mail lead, as JSON. */
  record SentLinks(String links, boolean test) {}

  @Insert(
      """
      insert into sent_mail (token_hash, message_id, message_version, test, links, sent_at)
      values (#{tokenHash}, #{message}, #{version}, #{test}, #{links}, #{at})
      """)
  void insert(
      String tokenHash, String message, int version, boolean test, String links, OffsetDateTime at);

  @Select("select links, test from sent_mail where token_hash = #{tokenHash}")
  Optional<SentLinks> links(String tokenHash);
}
