package org.opentrellis.app.live;

import java.util.List;
import java.util.Optional;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.letters.MailAnswered;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.Channel;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What people do with their mail becomes known to the journeys that they are in. */
@Component
@Transactional
class Answers {
  private final OutboxMapper outbox;
  private final Turns turns;
  private final AccountClock clock;

  Answers(OutboxMapper outbox, Turns turns, AccountClock clock) {
    this.outbox = outbox;
    this.turns = turns;
    this.clock = clock;
  }

  @EventListener
  void follow(MailAnswered answered) {
    outbox
        .find(answered.outbox())
        .ifPresent(
            row -> {
              long now = clock.now();
              turns.take(row.personId(), happenings(answered, row.message(), now), now);
            });
  }

  /** Whoever clicks or opens a mail has read it, and its pictures were loaded. */
  private static List<Happening> happenings(MailAnswered answered, MessageRef message, long now) {
    return switch (answered.kind()) {
      case PRE_LOADED -> List.of(new Happening.OpenRecorded(now, message));
      case OPENED ->
          List.of(new Happening.OpenRecorded(now, message), new Happening.Opened(now, message));
      case CLICKED -> List.of(new Happening.Clicked(now, message, answered.link()));
      case UNSUBSCRIBED ->
          List.of(new Happening.ConsentWithdrawn(now, Channel.EMAIL, Optional.of(message)));
    };
  }
}
