package org.opentrellis.core.calendar;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.EnumSet;
import java.util.Set;
import java.util.TreeSet;

/**
 * A local time, on some or all weekdays: "09:00, Tue to Sat".
 *
 * @param time the local time, to the minute
 * @param days the weekdays it may fall on; at least one
 */
public record TimeOfDay(LocalTime time, Set<DayOfWeek> days) {
  public static final Set<DayOfWeek> EVERY_DAY = Set.copyOf(EnumSet.allOf(DayOfWeek.class));

  public TimeOfDay {
    if (days.isEmpty()) {
      throw new IllegalArgumentException("a time of day needs at least one weekday");
    }
    days = Set.copyOf(days);
  }

  public static TimeOfDay daily(LocalTime time) {
    return new TimeOfDay(time, EVERY_DAY);
  }

  public boolean everyDay() {
    return days.size() == 7;
  }

  /**
   * The first moment at or after {@code start} that fits in {@code zone}; now counts if it fits.
   */
  public Instant atOrAfter(Instant start, ZoneId zone) {
    LocalDate date = start.atZone(zone).toLocalDate();
    for (int ahead = 0; ; ahead++) {
      LocalDate candidate = date.plusDays(ahead);
      if (days.contains(candidate.getDayOfWeek())) {
        Instant moment = ZonedDateTime.of(candidate, time, zone).toInstant();
        if (!moment.isBefore(start)) {
          return moment;
        }
      }
    }
  }

  /** In words: "09:00" or "09:00 on Tue, Wed". */
  public String inWords() {
    if (everyDay()) {
      return time.toString();
    }
    StringBuilder words = new StringBuilder(time.toString()).append(" on ");
    String comma = "";
    for (DayOfWeek day : new TreeSet<>(days)) {
      words.append(comma).append(day.toString(), 0, 1);
      words.append(day.toString().substring(1, 3).toLowerCase(java.util.Locale.ROOT));
      comma = ", ";
    }
    return words.toString();
  }
}
