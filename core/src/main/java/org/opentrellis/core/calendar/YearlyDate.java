package org.opentrellis.core.calendar;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/** Dates that return each year. */
public final class YearlyDate {
  private YearlyDate() {}

  /**
   * The date's return in a year: 29 February falls on 28 February in other years, or on 1 March.
   */
  public static LocalDate inYear(LocalDate date, int year, boolean onFirstOfMarch) {
    LocalDate there = date.withYear(year);
    boolean moved = there.getDayOfMonth() != date.getDayOfMonth();
    return moved && onFirstOfMarch ? there.plusDays(1) : there;
  }

  /**
   * The return that, moved by some days, is nearest to a day.
   *
   * @param days moved later; earlier if negative
   * @return the return itself, not moved
   */
  public static LocalDate nearest(LocalDate date, int days, boolean onFirstOfMarch, LocalDate to) {
    LocalDate around = to.minusDays(days);
    LocalDate nearest = inYear(date, around.getYear(), onFirstOfMarch);
    for (int year : new int[] {around.getYear() - 1, around.getYear() + 1}) {
      LocalDate other = inYear(date, year, onFirstOfMarch);
      if (distance(other, around) < distance(nearest, around)) {
        nearest = other;
      }
    }
    return nearest;
  }

  private static long distance(LocalDate one, LocalDate other) {
    return Math.abs(ChronoUnit.DAYS.between(one, other));
  }

  /**
   * The first return, moved by some days, that is not before a day.
   *
   * @param days moved later; earlier if negative
   */
  public static LocalDate nextMoved(
      LocalDate date, int days, boolean onFirstOfMarch, LocalDate notBefore) {
    LocalDate moved;
    int year = notBefore.getYear() - 2;
    do {
      moved = inYear(date, year++, onFirstOfMarch).plusDays(days);
    } while (moved.isBefore(notBefore));
    return moved;
  }
}
