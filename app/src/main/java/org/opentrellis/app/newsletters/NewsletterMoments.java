package org.opentrellis.app.newsletters;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.LongSummaryStatistics;
import java.util.stream.Stream;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.people.Mailable;
import org.opentrellis.core.newsletter.Going;
import org.springframework.stereotype.Component;

/** When newsletters come to people, who may live in several zones. */
@Component
class NewsletterMoments {
  private final Mailable people;
  private final Account account;
  private final AccountClock clock;

  NewsletterMoments(Mailable people, Account account, AccountClock clock) {
    this.people = people;
    this.account = account;
    this.clock = clock;
  }

  /** When it comes to the first and to the last, in epoch seconds. */
  record Span(long first, long last) {}

  Span of(Going going) {
    LocalDateTime moment = going.date().atTime(going.at());
    Stream<ZoneId> zones =
        going.theirTime() && !people.zones().isEmpty()
            ? people.zones().stream()
            : Stream.of(account.zone());
    LongSummaryStatistics moments =
        zones.mapToLong(zone -> moment.atZone(zone).toEpochSecond()).summaryStatistics();
    return new Span(moments.getMin(), moments.getMax());
  }

  /** The account's local time now. */
  LocalDateTime now() {
    return LocalDateTime.ofInstant(clock.instant(), account.zone());
  }

  /** The next whole minute that is still to come. */
  LocalDateTime nextMinute() {
    return now().truncatedTo(ChronoUnit.MINUTES).plusMinutes(1);
  }
}
