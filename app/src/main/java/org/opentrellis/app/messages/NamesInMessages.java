package org.opentrellis.app.messages;

import org.opentrellis.app.revisions.NameChanged;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.NameExchange;
import org.opentrellis.core.message.Manuscript;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Messages follow when a name changes, with all their versions. */
@Component
class NamesInMessages {
  private final MessageMapper mapper;
  private final MessageLibrary library;

  NamesInMessages(MessageMapper mapper, MessageLibrary library) {
    this.mapper = mapper;
    this.library = library;
  }

  @EventListener
  @Order(1)
  void follow(NameChanged change) {
    NameExchange exchange = new NameExchange(change.before(), change.after());
    for (MessageRow row : mapper.holding(change.text())) {
      Written written = library.written(new MessageId(row.id()));
      Manuscript renamed = exchange.in(written.manuscript());
      if (!renamed.equals(written.manuscript())) {
        library.replace(written.with(renamed));
      }
    }
    for (MessageRow row : mapper.versionsHolding(change.text())) {
      String kept = String.valueOf(row.manuscript());
      String document =
          Json.write(Documents.write(exchange.in(Documents.readManuscript(Json.tree(kept)))));
      if (!document.equals(kept)) {
        mapper.rewriteVersion(row.id(), row.version(), document);
      }
    }
  }
}
