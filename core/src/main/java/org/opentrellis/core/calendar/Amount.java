package org.opentrellis.core.calendar;

import java.time.LocalDate;
import java.time.ZonedDateTime;
import org.opentrellis.core.problem.Refused;

/**
 * A length of time as people say it: "2 days", "0.5 hours".
 *
 * <p>Minutes and hours are exact and take decimals. Days, weeks, months, years and working days are
 * calendar units in a person's zone: the wall-clock time stays. In a gap a local time moves later
 * by the gap's length, in an overlap the earlier offset is taken ({@link ZonedDateTime}'s rule; for
 * a local time that does not exist RFC 5545 section 3.3.5 names the same instant).
 *
 * @param count more than 0; whole for calendar units
 * @param unit the unit
 */
public record Amount(double count, TimeUnit unit) {
  /** The longest amount: ten years. */
  public static final long LONGEST_SECONDS = 10 * TimeUnit.YEARS.nominalSeconds();

  public Amount {
    if (!(count > 0)) {
      throw new Refused("an amount of time must be more than 0, not " + count);
    }
    if (!unit.exact() && count != Math.rint(count)) {
      throw new Refused("an amount in " + unit.word() + "s must be a whole number, not " + count);
    }
    if (count * unit.nominalSeconds() > LONGEST_SECONDS) {
      throw new Refused("an amount of time must be at most ten years");
    }
  }

  public static Amount of(double count, TimeUnit unit) {
    return new Amount(count, unit);
  }

  /** The instant this much after a start, in epoch seconds, for a person under a clock. */
  public long after(long start, ZoneClock clock) {
    if (unit.exact()) {
      return start + exactSeconds();
    }
    if (unit == TimeUnit.DAYS || unit == TimeUnit.WEEKS) {
      return clock.plusDays(start, wholeDays());
    }
    long local = clock.local(start);
    long day = Math.floorDiv(local, (long) ZoneClock.DAY);
    return clock.instant(later(day) * ZoneClock.DAY + local - day * ZoneClock.DAY);
  }

  /** Its seconds, if the unit is exact. */
  public long exactSeconds() {
    return Math.round(count * unit.nominalSeconds());
  }

  /** Its days, if the unit is days or weeks. */
  public int wholeDays() {
    return (int) count * (unit == TimeUnit.WEEKS ? 7 : 1);
  }

  private long later(long day) {
    long n = (long) count;
    return switch (unit) {
      case MONTHS -> LocalDate.ofEpochDay(day).plusMonths(n).toEpochDay();
      case YEARS -> LocalDate.ofEpochDay(day).plusYears(n).toEpochDay();
      case WORKING_DAYS -> Weekdays.workingDaysAfter(day, n);
      case MINUTES, HOURS, DAYS, WEEKS -> throw new IllegalStateException("handled above");
    };
  }

  /** Roughly how long this is, in hours; for shares and limits, never for a date. */
  public double nominalHours() {
    return count * unit.nominalSeconds() / 3600.0;
  }

  /** In words: "2 days", "0.5 hours", "1 day". */
  public String inWords() {
    String number =
        count == Math.rint(count) ? Long.toString((long) count) : Double.toString(count);
    return number + " " + unit.word() + (count == 1 ? "" : "s");
  }
}
