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

  /** So many seconds after arrival. */
  record Seconds(long seconds) implements Timer {
    @Override
    public long endsAt(Stand stand) {
      return stand.now() + seconds;
    }
  }

  /** So many days after arrival, at the same time by the clock. */
  record Days(int days) implements Timer {
    @Override
    public long endsAt(Stand stand) {
      return stand.clock().plusDays(stand.now(), days);
    }
  }

  /** One that goes by what the person's record says. */
  interface ByRecord extends Timer {}

  /** At the moment of arrival. */
  Timer AT_ONCE = stand -> stand.now();

  /** The moment, for somebody who arrives at the wait now; or {@link #PAST}. */
  long endsAt(Stand stand);

  static Timer forAmount(Amount amount, Optional<TimeOfDay> thenUntil) {
    if (thenUntil.isEmpty()) {
      return forAmount(amount);
    }
    TimeOfDay moment = thenUntil.get();
    return stand -> moment.atOrAfter(amount.after(stand.now(), stand.clock()), stand.clock());
  }

  /** So long after arrival; the usual kinds of amounts without a look at which it is each time. */
  static Timer forAmount(Amount amount) {
    if (amount.unit().exact()) {
      return new Seconds(amount.exactSeconds());
    }
    if (amount.unit() == TimeUnit.DAYS || amount.unit() == TimeUnit.WEEKS) {
      return new Days(amount.wholeDays());
    }
    return stand -> amount.after(stand.now(), stand.clock());
  }

  static Timer until(TimeOfDay moment) {
    return stand -> moment.atOrAfter(stand.now(), stand.clock());
  }

  static Timer untilDate(LocalDate date, LocalTime at) {
    long local = local(date, at);
    return stand -> pastOr(stand.clock().instant(local), stand);
  }

  static Timer untilDay(WaitRule.UntilDay rule) {
    return stand -> {
      long entry = stand.clock().local(stand.entryAt());
      long day = Math.floorDiv(entry, (long) ZoneClock.DAY);
      long second =
          rule.at().map(time -> (long) time.toSecondOfDay()).orElse(entry - day * ZoneClock.DAY);
      return pastOr(stand.clock().instant((day + rule.day()) * ZoneClock.DAY + second), stand);
    };
  }

  static Timer untilNthWeekday(WaitRule.UntilNthWeekday rule) {
    TemporalAdjuster ofMonth =
        rule.nth() == WaitRule.UntilNthWeekday.LAST
            ? TemporalAdjusters.lastInMonth(rule.weekday())
            : TemporalAdjusters.dayOfWeekInMonth(rule.nth(), rule.weekday());
    return stand -> {
      LocalDate month = stand.clock().date(stand.now()).withDayOfMonth(1);
      long at = stand.clock().instant(local(month.with(ofMonth), rule.at()));
      return at >= stand.now()
          ? at
          : stand.clock().instant(local(month.plusMonths(1).with(ofMonth), rule.at()));
    };
  }

  /**
   * Around a date in the person's record: the occurrence that brought them in, if a date of the
   * same field did; else its next one, today included.
   *
   * @param came by trigger of the journey, the one that is about the same field, else null
   */
  static Timer aroundDate(WaitRule.AroundDate rule, int field, Trigger.@Nullable DateComes[] came) {
    return (ByRecord)
        stand -> {
          if (!(stand.field(field) instanceof Operand.Date held)) {
            return PAST;
          }
          Trigger.DateComes by = stand.trigger() < 0 ? null : came[stand.trigger()];
          LocalDate day =
              by == null ? next(held.date(), rule, stand) : meant(held.date(), by, rule, stand);
          return pastOr(stand.clock().instant(local(day, rule.at())), stand);
        };
  }

  /** The day on which the wait ends for a date that comes by itself. */
  private static LocalDate next(LocalDate date, WaitRule.AroundDate rule, Stand stand) {
    return rule.everyYear()
        ? YearlyDate.nextMoved(
            date, rule.days(), rule.onFirstOfMarch(), stand.clock().date(stand.now()))
        : date.plusDays(rule.days());
  }

  /** The same for the occurrence that brought the person in: the nearest to their entry. */
  private static LocalDate meant(
      LocalDate date, Trigger.DateComes by, WaitRule.AroundDate rule, Stand stand) {
    if (!by.everyYear()) {
      return date.plusDays(rule.days());
    }
    LocalDate entered = stand.clock().date(stand.entryAt());
    int year = YearlyDate.nearest(date, by.days(), by.onFirstOfMarch(), entered).getYear();
    return YearlyDate.inYear(date, year, rule.onFirstOfMarch()).plusDays(rule.days());
  }

  private static long local(LocalDate date, LocalTime at) {
    return date.toEpochDay() * ZoneClock.DAY + at.toSecondOfDay();
  }

  private static long pastOr(long moment, Stand stand) {
    return moment < stand.now() ? PAST : moment;
  }
}
