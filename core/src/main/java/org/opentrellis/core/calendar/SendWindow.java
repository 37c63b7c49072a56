package org.opentrellis.core.calendar;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.Set;
import org.opentrellis.core.problem.Refused;

/**
 * When mail may go out: on some weekdays, from one local time to another. What falls outside waits
 * for the next opening.
 *
 * @param days the weekdays; all of them if none is named
 * @param from the first minute
 * @param to the first minute after it; midnight is the end of the day
 */
public record SendWindow(Set<DayOfWeek> days, LocalTime from, LocalTime to) {
  public SendWindow {
    days = days.isEmpty() ? TimeOfDay.EVERY_DAY : Weekdays.copy(days);
    TimeOfDay.requireMinute(from);
    TimeOfDay.requireMinute(to);
    if (endOf(to) <= from.toSecondOfDay()) {
      throw new Refused("a send window must end after it begins, not at " + to + " after " + from);
    }
  }

  /** The moment itself if it is inside, else the next opening. */
  public long atOrAfter(long instant, ZoneClock clock) {
    long local = clock.local(instant);
    long day = Math.floorDiv(local, (long) ZoneClock.DAY);
    long second = local - day * ZoneClock.DAY;
    if (second >= from.toSecondOfDay() && second < endOf(to) && Weekdays.has(days, day)) {
      return instant;
    }
    return new TimeOfDay(from, days).atOrAfter(instant, clock);
  }

  /** Whether a moment is inside. */
  public boolean has(long instant, ZoneClock clock) {
    return atOrAfter(instant, clock) == instant;
  }

  /** When it next opens or closes after a moment. */
  public long nextChange(long instant, ZoneClock clock) {
    if (!has(instant, clock)) {
      return atOrAfter(instant, clock);
    }
    long day = clock.day(instant);
    return Math.max(instant + 1, clock.instant(day * ZoneClock.DAY + endOf(to)));
  }

  /** In words: "Mon to Fri 08:00 to 18:00", or "Mon to Sat" if it is all day. */
  public String inWords() {
    boolean allDay = from.equals(LocalTime.MIDNIGHT) && endOf(to) == ZoneClock.DAY;
    if (allDay && days.size() < 7) {
      return Weekdays.inWords(days);
    }
    String hours = from + " to " + (endOf(to) == ZoneClock.DAY ? "24:00" : to.toString());
    return days.size() == 7 ? hours : Weekdays.inWords(days) + " " + hours;
  }

  private static int endOf(LocalTime to) {
    return to.equals(LocalTime.MIDNIGHT) ? ZoneClock.DAY : to.toSecondOfDay();
  }
}
