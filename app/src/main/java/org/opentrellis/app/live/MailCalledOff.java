package org.opentrellis.app.live;

import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Calls off what a journey was to send and has not handed over yet. */
@Component
@Transactional
public class MailCalledOff {
  private final OutboxMapper outbox;

  MailCalledOff(OutboxMapper outbox) {
    this.outbox = outbox;
  }

  /**
   * @param why in a sentence
   * @return how many messages that were
   */
  public int of(long journey, String why) {
    return outbox.callOffOf(journey, why);
  }
}
