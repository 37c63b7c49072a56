package org.opentrellis.app.messages;

import java.time.OffsetDateTime;
import java.util.List;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageContent;
import org.opentrellis.core.journey.MessageId;

/** What is kept of messages, and what it means. */
final class MessageRows {
  private MessageRows() {}

  /** A message as it is kept at a version. */
  static MessageRow of(Written written, int version, OffsetDateTime at) {
    Message seen = written.seen();
    return new MessageRow(
        seen.id().value(),
        seen.name(),
        seen.channel(),
        seen.headline(),
        Json.write(seen.links().stream().map(LinkName::value).toList()),
        seen.voucher(),
        Json.write(Documents.write(written.manuscript())),
        Json.write(written.labels()),
        null,
        written.starter(),
        version,
        at);
  }

  /** What journeys see of it. */
  static Message message(MessageRow row) {
    List<LinkName> links = links(row).stream().map(LinkName::new).toList();
    return new Message(new MessageId(row.id()), row.name(), content(row), links, row.voucher());
  }

  private static MessageContent content(MessageRow row) {
    return switch (row.channel()) {
      case EMAIL -> new MessageContent.Email(row.headline());
      case TEXT -> new MessageContent.Text(row.headline());
    };
  }

  /** It as it is written. */
  static Written written(MessageRow row) {
    Message seen = message(row);
    List<String> labels = List.of(Json.read(row.labels(), String[].class));
    return row.manuscript() == null
        ? Written.begin(seen)
        : new Written(
            seen.id(),
            seen.name(),
            labels,
            Documents.readManuscript(Json.tree(row.manuscript())),
            row.starter());
  }

  /** It as the composer opens it. */
  static MessageSheet sheet(MessageRow row) {
    Written written = written(row);
    return new MessageSheet(
        row.id(),
        row.name(),
        written.labels(),
        row.archivedAt() != null,
        Documents.write(written.manuscript()),
        links(row),
        row.starter(),
        row.version());
  }

  /** It as lists show it. */
  static MessageView view(MessageRow row) {
    return new MessageView(
        row.id(),
        row.name(),
        Documents.write(message(row)).get("content"),
        links(row),
        row.voucher(),
        List.of(Json.read(row.labels(), String[].class)),
        row.archivedAt() != null,
        row.version());
  }

  private static List<String> links(MessageRow row) {
    return List.of(Json.read(row.links(), String[].class));
  }
}
