package org.opentrellis.core.search;

import java.time.DayOfWeek;
import java.util.Set;
import org.opentrellis.core.calendar.TimeOfDay;

/**
 * Some weekdays; all of them if none is named.
 *
 * @param days in any order
 */
public record WeekdayChoice(Set<DayOfWeek> days) {
  public WeekdayChoice {
    days = days.isEmpty() ? TimeOfDay.EVERY_DAY : Set.copyOf(days);
  }
}
