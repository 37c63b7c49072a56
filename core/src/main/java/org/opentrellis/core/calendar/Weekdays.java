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
    return days.contains(DayOfWeek.of((int) Math.floorMod(epochDay + 3, 7L) + 1));
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
