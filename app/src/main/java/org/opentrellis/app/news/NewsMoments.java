package org.opentrellis.app.news;

import java.time.Instant;
import java.time.LocalDateTime;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.newsletter.Going;
import org.springframework.stereotype.Component;

/** When issues go, by the account's clock. */
@Component
class NewsMoments {
  private static final long MINUTE = 60;

  private final Account account;
  private final AccountClock clock;

  NewsMoments(Account account, AccountClock clock) {
    this.account = account;
    this.clock = clock;
  }

  LocalDateTime local(long at) {
    return LocalDateTime.ofInstant(Instant.ofEpochSecond(at), account.zone());
  }

  /** A moment at which newsletters can go, or the next minute if it is past. */
  Going going(long at) {
    LocalDateTime moment = local(Math.max(at, clock.now() / MINUTE * MINUTE + MINUTE));
    return new Going(moment.toLocalDate(), moment.toLocalTime(), false);
  }

  /** The first moment of a rhythm after another, in epoch seconds. */
  long after(NewsSeries series, long at) {
    return series.rhythm().after(local(at)).atZone(account.zone()).toEpochSecond();
  }

  /** The last one before it. */
  long before(NewsSeries series, long at) {
    return series.rhythm().before(local(at)).atZone(account.zone()).toEpochSecond();
  }

  /** The first one for which there is still time. */
  long next(NewsSeries series) {
    return after(series, clock.now() + NewsAppointments.BEFORE);
  }
}
