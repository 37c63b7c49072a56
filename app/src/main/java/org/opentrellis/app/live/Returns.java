package org.opentrellis.app.live;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.people.OutsideHappenings;
import org.opentrellis.app.standins.MailCame;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.mail.MailReply;
import org.opentrellis.mail.MailReturn;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * What mail servers report of mails that were sent becomes known to the journeys, and what readers
 * answer to their stories.
 */
@Component
@Transactional
class Returns {
  private static final Pattern KEY = Pattern.compile("t(\\d+)\\.(\\d+)\\.(\\d+)\\.(\\d+)@.*");

  private final OutboxMapper outbox;
  private final Turns turns;
  private final OutsideHappenings people;
  private final AccountClock clock;

  Returns(OutboxMapper outbox, Turns turns, OutsideHappenings people, AccountClock clock) {
    this.outbox = outbox;
    this.turns = turns;
    this.people = people;
    this.clock = clock;
  }

  /** The part of a Message-ID that is before the @. */
  static String key(OutboxRow row) {
    return "t%d.%d.%d.%d".formatted(row.id(), row.personId(), row.journeyId(), row.dueAt());
  }

  @EventListener
  void follow(MailCame mail) {
    MailReturn.of(mail.content()).ifPresent(this::take);
    MailReply.of(mail.content())
        .ifPresent(
            reply ->
                about(reply.messageId())
                    .ifPresent(row -> people.answered(row.personId(), clock.now(), reply.words())));
  }

  /** Whether it is about a mail of ours. */
  boolean take(MailReturn report) {
    Optional<OutboxRow> about = about(report.messageId());
    about.ifPresent(row -> take(report, row));
    return about.isPresent();
  }

  private Optional<OutboxRow> about(String messageId) {
    Matcher key = KEY.matcher(messageId);
    return key.matches()
        ? outbox
            .find(Long.parseLong(key.group(1)))
            .filter(row -> messageId.startsWith(key(row) + "@"))
        : Optional.empty();
  }

  private void take(MailReturn report, OutboxRow row) {
    long now = clock.now();
    Happening happening =
        switch (report.kind()) {
          case FAILED -> {
            outbox.note(
                row.id(), OutboxRow.State.REFUSED, row.tryAt(), row.sentAt(), report.words());
            yield new Happening.Bounced(now, row.message(), report.dead());
          }
          case COMPLAINED -> new Happening.Complained(now);
        };
    turns.take(row.personId(), List.of(happening), now);
  }
}
