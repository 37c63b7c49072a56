package org.opentrellis.core.machine;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.TemporalAdjuster;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.calendar.YearlyDate;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Trigger;
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

  static Timer untilNthWeekday(WaitRule.UntilNthWeekday rule) {
    TemporalAdjuster ofMonth =
        rule.nth() == WaitRule.UntilNthWeekday.LAST
            ? TemporalAdjusters.lastInMonth(rule.weekday())
            : TemporalAdjusters.dayOfWeekInMonth(rule.nth(), rule.weekday());
    return visit -> {
      LocalDate month = visit.clock.date(visit.now).withDayOfMonth(1);
      long at = visit.clock.instant(local(month.with(ofMonth), rule.at()));
      return at >= visit.now
          ? at
          : visit.clock.instant(local(month.plusMonths(1).with(ofMonth), rule.at()));
    };
  }

  /**
   * Around a date in the person's record: the occurrence that brought them in, if a date of the
   * same field did; else its next one, today included.
   *
   * @param came by trigger of the journey, the one that is about the same field, else null
   */
  static Timer aroundDate(WaitRule.AroundDate rule, int field, Trigger.@Nullable DateComes[] came) {
    return visit -> {
      if (!(visit.person.field(field) instanceof Operand.Date held)) {
        return PAST;
      }
      Trigger.DateComes by = visit.trigger < 0 ? null : came[visit.trigger];
      LocalDate day =
          by == null ? next(held.date(), rule, visit) : meant(held.date(), by, rule, visit);
      return pastOr(visit.clock.instant(local(day, rule.at())), visit);
    };
  }

  /** The day on which the wait ends for a date that comes by itself. */
  private static LocalDate next(LocalDate date, WaitRule.AroundDate rule, Visit visit) {
    return rule.everyYear()
        ? YearlyDate.nextMoved(
            date, rule.days(), rule.onFirstOfMarch(), visit.clock.date(visit.now))
        : date.plusDays(rule.days());
  }

  /** The same for the occurrence that brought the person in: the nearest to their entry. */
  private static LocalDate meant(
      LocalDate date, Trigger.DateComes by, WaitRule.AroundDate rule, Visit visit) {
    if (!by.everyYear()) {
      return date.plusDays(rule.days());
    }
    LocalDate entered = visit.clock.date(visit.entryAt);
    int year = YearlyDate.nearest(date, by.days(), by.onFirstOfMarch(), entered).getYear();
    return YearlyDate.inYear(date, year, rule.onFirstOfMarch()).plusDays(rule.days());
  }

  private static long local(LocalDate date, LocalTime at) {
    return date.toEpochDay() * ZoneClock.DAY + at.toSecondOfDay();
  }

  private static long pastOr(long moment, Visit visit) {
    return moment < visit.now ? PAST : moment;
  }
}
