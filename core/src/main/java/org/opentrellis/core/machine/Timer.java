package org.opentrellis.core.machine;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.calendar.YearlyDate;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.WaitRule;

/** When a wait ends. */
interface Timer {
  /** Says that the moment is past. */
  long PAST = Long.MIN_VALUE;

  /** At the moment of arrival. */
  Timer AT_ONCE = visit -> visit.now;

  /** The moment, for somebody who arrives at the wait now; or {@link #PAST}. */
  long endsAt(Visit visit);

  static Timer forAmount(Amount amount, Optional<TimeOfDay> thenUntil) {
    if (thenUntil.isEmpty()) {
      return forAmount(amount);
    }
    TimeOfDay moment = thenUntil.get();
    return visit -> moment.atOrAfter(amount.after(visit.now, visit.clock), visit.clock);
  }

  /** So long after arrival; the usual kinds of amounts without a look at which it is each time. */
  static Timer forAmount(Amount amount) {
    if (amount.unit().exact()) {
      long seconds = amount.exactSeconds();
      return visit -> visit.now + seconds;
    }
    if (amount.unit() == TimeUnit.DAYS || amount.unit() == TimeUnit.WEEKS) {
      int days = amount.wholeDays();
      return visit -> visit.clock.plusDays(visit.now, days);
    }
    return visit -> amount.after(visit.now, visit.clock);
  }

  static Timer until(TimeOfDay moment) {
    return visit -> moment.atOrAfter(visit.now, visit.clock);
  }

  static Timer untilDate(LocalDate date, LocalTime at) {
    long local = local(date, at);
    return visit -> pastOr(visit.clock.instant(local), visit);
  }

  static Timer untilDay(WaitRule.UntilDay rule) {
    return visit -> {
      long entry = visit.clock.local(visit.entryAt);
      long day = Math.floorDiv(entry, (long) ZoneClock.DAY);
      long second =
          rule.at().map(time -> (long) time.toSecondOfDay()).orElse(entry - day * ZoneClock.DAY);
      return pastOr(visit.clock.instant((day + rule.day()) * ZoneClock.DAY + second), visit);
    };
  }

  static Timer aroundDate(WaitRule.AroundDate rule, int field) {
    return visit -> {
      if (!(visit.person.field(field) instanceof Operand.Date held)) {
        return PAST;
      }
      if (!rule.everyYear()) {
        LocalDate moved = held.date().plusDays(rule.days());
        return pastOr(visit.clock.instant(local(moved, rule.at())), visit);
      }
      return nextYearly(held.date(), rule, visit);
    };
  }

  private static long nextYearly(LocalDate date, WaitRule.AroundDate rule, Visit visit) {
    LocalDate from = visit.clock.date(visit.now);
    while (true) {
      LocalDate moved = YearlyDate.nextMoved(date, rule.days(), rule.onFirstOfMarch(), from);
      long at = visit.clock.instant(local(moved, rule.at()));
      if (at >= visit.now) {
        return at;
      }
      from = moved.plusDays(1);
    }
  }

  private static long local(LocalDate date, LocalTime at) {
    return date.toEpochDay() * ZoneClock.DAY + at.toSecondOfDay();
  }

  private static long pastOr(long moment, Visit visit) {
    return moment < visit.now ? PAST : moment;
  }
}
