package org.opentrellis.core.calendar;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.Set;
import org.opentrellis.core.problem.Refused;

/**
 * A local time, on some or all weekdays: "09:00, Tue to Sat".
 *
 * @param time the local time, to the minute
 * @param days the weekdays it may fall on; all of them if none is named
 */
public record TimeOfDay(LocalTime time, Set<DayOfWeek> days) {
  public static final Set<DayOfWeek> EVERY_DAY = Weekdays.copy(EnumSet.allOf(DayOfWeek.class));

  public TimeOfDay {
    days = days.isEmpty() ? EVERY_DAY : Weekdays.copy(days);
    requireMinute(time);
  }

  public static TimeOfDay daily(LocalTime time) {
    return new TimeOfDay(time, EVERY_DAY);
  }

  public boolean everyDay() {
    return days.size() == 7;
  }

  /** The first moment at or after an instant that fits; now counts if it fits. */
  public long atOrAfter(long instant, ZoneClock clock) {
    int second = time.toSecondOfDay();
    for (long day = clock.day(instant); ; day++) {
      if (everyDay() || Weekdays.has(days, day)) {
        long moment = clock.instant(day * ZoneClock.DAY + second);
        if (moment >= instant) {
          return moment;
        }
      }
    }
  }

  /** In words: "09:00", "09:00 on Tue, Wed" or "09:00 on Tue to Sat". */
  public String inWords() {
    return everyDay() ? time.toString() : time + " on " + Weekdays.inWords(days);
  }

  static void requireMinute(LocalTime time) {
    if (time.getSecond() != 0 || time.getNano() != 0) {
      throw new Refused("a time of day goes to the minute, not " + time);
    }
  }
}
