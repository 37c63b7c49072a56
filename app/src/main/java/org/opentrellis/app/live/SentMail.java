package org.opentrellis.app.live;

import java.util.Optional;
import org.opentrellis.core.happening.MessageRef;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Knows as which mail a message went out. */
@Service
@Transactional(readOnly = true)
public class SentMail {
  private final OutboxMapper outbox;

  SentMail(OutboxMapper outbox) {
    this.outbox = outbox;
  }

  /**
   * The part of its Message-ID that is before the @.
   *
   * @return empty if it has not gone out, or not as mail
   */
  public Optional<String> messageId(long person, MessageRef message) {
    return outbox.of(person).stream()
        .filter(row -> row.message().equals(message) && row.sentAt() != null)
        .map(Returns::key)
        .findFirst();
  }
}
