package org.opentrellis.core.behaviour;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.opentrellis.core.problem.Refused;

/**
 * When the people of a cohort come, unless their own dates or the journey's fixed date say it. Days
 * count from the day on which the cohort starts.
 */
public sealed interface ArrivalPlan
    permits ArrivalPlan.AtOnce, ArrivalPlan.Evenly, ArrivalPlan.Daily, ArrivalPlan.OnDates {
  int LONGEST_DAYS = 366;

  /** Over how many days so many people come; at least 1. */
  int days(int people, LocalDate start);

  /** All on the first day at one local time. */
  record AtOnce(LocalTime at) implements ArrivalPlan {
    @Override
    public int days(int people, LocalDate start) {
      return 1;
    }
  }

  /**
   * As many on every day.
   *
   * @param days 1 to {@value #LONGEST_DAYS}
   */
  record Evenly(int days) implements ArrivalPlan {
    public Evenly {
      if (days < 1 || days > LONGEST_DAYS) {
        throw new Refused("people come over 1 to " + LONGEST_DAYS + " days, not " + days);
      }
    }

    @Override
    public int days(int people, LocalDate start) {
      return days;
    }
  }

  /**
   * So many a day on average, with the week's rhythm, until all have come.
   *
   * @param perDay on average over a week, at least 1
   * @param weekdays how many come on each weekday against the others, Monday first; seven weights
   *     that are not all 0
   */
  record Daily(double perDay, List<Double> weekdays) implements ArrivalPlan {
    public Daily {
      weekdays = List.copyOf(weekdays);
      if (!(perDay >= 1 && perDay <= 10_000_000)) {
        throw new Refused("at least 1 person a day must come, not " + perDay);
      }
      boolean bad = weekdays.stream().anyMatch(weight -> !(weight >= 0 && weight < 1e6));
      if (weekdays.size() != 7 || bad || weekdays.stream().allMatch(weight -> weight == 0)) {
        throw new Refused(
            "the week's rhythm needs seven weights, Monday first, that are not all 0");
      }
    }

    /** How many come on a weekday, 0 for Monday. */
    public double on(int weekday) {
      double mean = weekdays.stream().mapToDouble(Double::doubleValue).sum() / 7;
      return perDay * weekdays.get(weekday) / mean;
    }

    @Override
    public int days(int people, LocalDate start) {
      double come = 0;
      int day = 0;
      while (come < people - 1e-9) {
        if (day == LONGEST_DAYS) {
          throw new Refused(
              "%,d people would need more than %d days at %,.0f a day; take fewer people, or more a day"
                  .formatted(people, LONGEST_DAYS, perDay));
        }
        come += on((start.getDayOfWeek().ordinal() + day) % 7);
        day++;
      }
      return Math.max(1, day);
    }
  }

  /**
   * On some days only.
   *
   * @param dates at least one, in order, each once
   */
  record OnDates(List<DatedShare> dates) implements ArrivalPlan {
    public OnDates {
      dates = List.copyOf(dates);
      if (dates.isEmpty()) {
        throw new Refused("at least one date is needed on which people come");
      }
      for (int i = 1; i < dates.size(); i++) {
        if (!dates.get(i - 1).date().isBefore(dates.get(i).date())) {
          throw new Refused("the dates on which people come must be in order");
        }
      }
      if (dates.stream().allMatch(one -> one.weight() == 0)) {
        throw new Refused("some of the dates must have a weight above 0");
      }
    }

    @Override
    public int days(int people, LocalDate start) {
      if (dates.get(0).date().isBefore(start)) {
        throw new Refused(
            "people cannot come on %s, before the cohort starts on %s"
                .formatted(dates.get(0).date(), start));
      }
      long days = dates.get(dates.size() - 1).date().toEpochDay() - start.toEpochDay() + 1;
      if (days > LONGEST_DAYS) {
        throw new Refused(
            "the last date must be within %d days of the start, not %d"
                .formatted(LONGEST_DAYS, days));
      }
      return (int) days;
    }
  }

  /**
   * @param weight how many come then, against the other dates
   */
  record DatedShare(LocalDate date, double weight) {
    public DatedShare {
      if (!(weight >= 0 && weight < 1e9)) {
        throw new Refused("a date's weight must not be negative, not " + weight);
      }
    }
  }
}
