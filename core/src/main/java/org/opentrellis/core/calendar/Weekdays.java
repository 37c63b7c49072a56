package org.opentrellis.core.calendar;

import java.time.DayOfWeek;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** Sets of weekdays. */
final class Weekdays {
  private Weekdays() {}

  /** An unmodifiable copy in the order of the week, quick to ask. */
  static Set<DayOfWeek> copy(Set<DayOfWeek> days) {
    return Collections.unmodifiableSet(EnumSet.copyOf(days));
  }

  /** Whether a day since 1970-01-01, which was a Thursday, falls on one of them. */
  static boolean has(Set<DayOfWeek> days, long epochDay) {
    return days.contains(DayOfWeek.of(weekday(epochDay)));
  }

  /** So many days later, Saturdays and Sundays not counted; on a weekend Monday is the first. */
  static long workingDaysAfter(long epochDay, long count) {
    int weekday = weekday(epochDay);
    long friday = weekday > 5 ? epochDay - (weekday - 5) : epochDay;
    long day = friday + count / 5 * 7;
    for (long left = count % 5; left > 0; left--) {
      day += weekday(day) == 5 ? 3 : 1;
    }
    return day;
  }

  /** 1 for Monday to 7 for Sunday; 1970-01-01 was a Thursday. */
  private static int weekday(long epochDay) {
    return (int) Math.floorMod(epochDay + 3, 7L) + 1;
  }

  /** "Tue, Wed", or "Tue to Sat" where three or more follow each other. */
  static String inWords(Set<DayOfWeek> days) {
    TreeSet<DayOfWeek> sorted = new TreeSet<>(days);
    boolean row = sorted.last().getValue() - sorted.first().getValue() == sorted.size() - 1;
    if (row && sorted.size() > 2) {
      return brief(sorted.first()) + " to " + brief(sorted.last());
    }
    return sorted.stream().map(Weekdays::brief).collect(Collectors.joining(", "));
  }

  private static String brief(DayOfWeek day) {
    String name = day.toString();
    return name.charAt(0) + name.substring(1, 3).toLowerCase(Locale.ROOT);
  }
}
