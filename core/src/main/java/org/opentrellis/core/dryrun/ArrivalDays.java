package org.opentrellis.core.dryrun;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.OptionalInt;
import org.opentrellis.core.behaviour.ArrivalPlan;

/** Turns a uniform draw into the day on which somebody comes. Immutable. */
final class ArrivalDays {
  private final int days;

  /** The share of people who have come by the end of each day; empty if as many come every day. */
  private final double[] upTo;

  /** The second of the day at which all come together, if they do. */
  final OptionalInt together;

  ArrivalDays(CohortSettings settings) {
    ArrivalPlan plan = settings.arrivals();
    LocalDate start = settings.start().atZone(ZoneOffset.UTC).toLocalDate();
    days = settings.arrivalDays();
    together =
        plan instanceof ArrivalPlan.AtOnce once
            ? OptionalInt.of(once.at().toSecondOfDay())
            : OptionalInt.empty();
    double[] weights = new double[days];
    if (plan instanceof ArrivalPlan.Daily daily) {
      byWeekday(daily, start.getDayOfWeek(), settings.people(), weights);
    } else if (plan instanceof ArrivalPlan.OnDates dates) {
      dates
          .dates()
          .forEach(
              one -> weights[(int) (one.date().toEpochDay() - start.toEpochDay())] = one.weight());
    }
    double total = Arrays.stream(weights).sum();
    Arrays.parallelPrefix(weights, Double::sum);
    upTo = total == 0 ? new double[0] : Arrays.stream(weights).map(sum -> sum / total).toArray();
  }

  /** The last day takes those who are left. */
  private static void byWeekday(
      ArrivalPlan.Daily daily, DayOfWeek first, int people, double[] weights) {
    double left = people;
    for (int day = 0; day < weights.length; day++) {
      weights[day] = Math.min(left, daily.on((first.ordinal() + day) % 7));
      left -= weights[day];
    }
  }

  /** Days since the start, with the part of the day that has passed. */
  double at(double u) {
    if (upTo.length == 0) {
      return u * days;
    }
    int place = Arrays.binarySearch(upTo, u);
    int day = place < 0 ? -place - 1 : place + 1;
    while (day < upTo.length - 1 && share(day) == 0) {
      day++;
    }
    day = Math.min(day, upTo.length - 1);
    return day + Math.min(0.999_999, (u - before(day)) / share(day));
  }

  private double before(int day) {
    return day == 0 ? 0 : upTo[day - 1];
  }

  private double share(int day) {
    return upTo[day] - before(day);
  }
}
