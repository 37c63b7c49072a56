package org.opentrellis.core.dryrun;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.OptionalInt;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.calendar.ZoneClock;

/**
 * On which day of their own zone somebody comes, and when on it. The first people of a cohort are
 * the same whatever its size. Immutable.
 */
final class ArrivalDays {
  private final long firstDay;
  private final int days;

  /** By day, how many have come by its end if so many come each day; else empty. */
  private final double[] countUpTo;

  /** By day, the share of people who have come by its end if dates have shares; else empty. */
  private final double[] shareUpTo;

  /** The second of the day at which all come together, if they do. */
  final OptionalInt together;

  ArrivalDays(CohortSettings settings) {
    ArrivalPlan plan = settings.arrivals();
    LocalDate start = settings.startDay();
    firstDay = start.toEpochDay();
    days = settings.arrivalDays();
    together =
        switch (plan) {
          case ArrivalPlan.AtOnce once -> OptionalInt.of(once.at().toSecondOfDay());
          case ArrivalPlan.Evenly evenly -> OptionalInt.empty();
          case ArrivalPlan.Daily daily -> OptionalInt.empty();
          case ArrivalPlan.OnDates dates -> OptionalInt.empty();
        };
    countUpTo =
        switch (plan) {
          case ArrivalPlan.Daily daily -> counts(daily, start.getDayOfWeek(), days);
          case ArrivalPlan.AtOnce once -> new double[0];
          case ArrivalPlan.Evenly evenly -> new double[0];
          case ArrivalPlan.OnDates dates -> new double[0];
        };
    shareUpTo =
        switch (plan) {
          case ArrivalPlan.OnDates dates -> shares(dates, start, days);
          case ArrivalPlan.AtOnce once -> new double[0];
          case ArrivalPlan.Evenly evenly -> new double[0];
          case ArrivalPlan.Daily daily -> new double[0];
        };
  }

  private static double[] counts(ArrivalPlan.Daily daily, DayOfWeek first, int days) {
    double[] upTo = new double[days];
    Arrays.setAll(upTo, day -> daily.on((first.ordinal() + day) % 7));
    Arrays.parallelPrefix(upTo, Double::sum);
    return upTo;
  }

  private static double[] shares(ArrivalPlan.OnDates dates, LocalDate start, int days) {
    double[] upTo = new double[days];
    dates
        .dates()
        .forEach(one -> upTo[(int) (one.date().toEpochDay() - start.toEpochDay())] = one.weight());
    double total = Arrays.stream(upTo).sum();
    Arrays.parallelPrefix(upTo, Double::sum);
    return Arrays.stream(upTo).map(sum -> sum / total).toArray();
  }

  /** The first day, since 1970-01-01. */
  long firstDay() {
    return firstDay;
  }

  /**
   * When somebody comes, on the clock of their own zone, in seconds since 1970-01-01.
   *
   * @param number of the person, from 0
   * @param u uniform in [0, 1)
   */
  long local(int number, double u) {
    return firstDay * ZoneClock.DAY + (long) (at(number, u) * ZoneClock.DAY);
  }

  /** Days since the start, with the part of the day that has passed. */
  double at(int number, double u) {
    if (countUpTo.length > 0) {
      return firstAbove(countUpTo, number) + u;
    }
    if (shareUpTo.length > 0) {
      int day = firstAbove(shareUpTo, u);
      double before = day == 0 ? 0 : shareUpTo[day - 1];
      return day + Math.min(0.999_999, (u - before) / (shareUpTo[day] - before));
    }
    return u * days;
  }

  /** The first day by whose end more than that have come; the last one takes the rest. */
  private static int firstAbove(double[] upTo, double some) {
    int day = 0;
    while (day < upTo.length - 1 && upTo[day] <= some) {
      day++;
    }
    return day;
  }
}
