package org.opentrellis.app.letters;

import static org.opentrellis.app.storage.Columns.LONGS;
import static org.opentrellis.app.storage.Columns.TEXTS;
import static org.opentrellis.app.storage.Columns.longs;
import static org.opentrellis.app.storage.Columns.texts;

import java.time.OffsetDateTime;
import java.util.List;
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

  /**
   * A mail that is written.
   *
   * @param outbox of what it is; null for a test
   */
  record SentRow(
      String tokenHash, String message, String links, String names, @Nullable Long outbox) {}

  /** Adds some. */
  default void insert(List<SentRow> rows, OffsetDateTime at) {
    if (!rows.isEmpty()) {
      insertColumns(
          texts(rows, SentRow::tokenHash),
          texts(rows, SentRow::message),
          texts(rows, SentRow::links),
          texts(rows, SentRow::names),
          longs(rows, SentRow::outbox),
          at);
    }
  }

  @Insert(
      "insert into sent_mail (token_hash, message_id, message_version, test, links, link_names,"
          + " outbox_id, sent_at) select r.token, r.message, 0, r.outbox is null, r.links, r.names,"
          + " r.outbox, #{at} from unnest(cast(#{tokens"
          + TEXTS
          + ", cast(#{messages"
          + TEXTS
          + ", cast(#{links"
          + TEXTS
          + ", cast(#{names"
          + TEXTS
          + ", cast(#{outboxes"
          + LONGS
          + ") as r (token, message, links, names, outbox)")
  void insertColumns(
      String[] tokens,
      String[] messages,
      String[] links,
      String[] names,
      Long[] outboxes,
      OffsetDateTime at);

  /**
   * Who reads a mail.
   *
   * @param person null for a test, which has no reader
   */
  record ReaderRow(@Nullable Long person) {}

  @Select(
      """
      select o.person_id as person from sent_mail s left join outbox o on o.id = s.outbox_id
      where s.token_hash = #{tokenHash} and (o.id is not null or s.test)
      """)
  Optional<ReaderRow> reader(String tokenHash);

  @Select(
      """
      select links, link_names as names, test, outbox_id as outbox from sent_mail
      where token_hash = #{tokenHash}
      """)
  Optional<SentLinks> links(String tokenHash);
}
