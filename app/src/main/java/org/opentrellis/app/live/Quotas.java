package org.opentrellis.app.live;

import java.time.LocalDate;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.springframework.stereotype.Component;

/**
 * How many emails may still go out this month. To count those that went out takes a while when they
 * are many; so what is taken is added to the last count, and they are counted anew only before
 * something has to wait.
 */
@Component
class Quotas {
  private final OutboxMapper mapper;
  private final Account account;
  private final AccountClock clock;
  private long month = Long.MIN_VALUE;

  /** At least so many as went out. */
  private long atMost;

  Quotas(OutboxMapper mapper, Account account, AccountClock clock) {
    this.mapper = mapper;
    this.account = account;
    this.clock = clock;
  }

  /** Whose limit and month are read once. */
  final class Month {
    private final @Nullable Long limit;
    private final long since;
    private final long next;
    private boolean counted;
    private long taken;

    private Month(@Nullable Long limit, long since, long next) {
      this.limit = limit;
      this.since = since;
      this.next = next;
    }

    boolean isUsedUp() {
      synchronized (Quotas.this) {
        if (limit == null) {
          return false;
        }
        if (month != since || atMost >= limit && !counted) {
          month = since;
          atMost = mapper.emailsSince(since) + taken;
          counted = true;
        }
        return atMost >= limit;
      }
    }

    void take() {
      synchronized (Quotas.this) {
        taken++;
        atMost++;
      }
    }

    /** When the next month begins, in epoch seconds. */
    long next() {
      return next;
    }
  }

  Month now() {
    ZoneId zone = account.zone();
    LocalDate first = LocalDate.ofInstant(clock.instant(), zone).withDayOfMonth(1);
    return new Month(
        account.limits().monthlyQuota(),
        first.atStartOfDay(zone).toEpochSecond(),
        first.plusMonths(1).atStartOfDay(zone).toEpochSecond());
  }
}
