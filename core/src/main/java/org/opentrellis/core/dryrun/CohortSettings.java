package org.opentrellis.core.dryrun;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.problem.Refused;

/**
 * Who goes through a dry run, besides how they behave.
 *
 * @param people how many, 1 to 2,000 million
 * @param seed of all draws; the same seed gives the same people
 * @param start when it begins: at midnight of its day in each person's own zone, and nobody comes
 *     before that
 * @param horizonDays how long each person is followed after they first come, 1 to 730
 * @param arrivals when they come
 * @param holdOut share of people who get nothing, to see what the journey adds, 0 to 0.9
 */
public record CohortSettings(
    int people, long seed, Instant start, int horizonDays, ArrivalPlan arrivals, double holdOut) {
  public static final int MOST_PEOPLE = CohortPlan.MOST_PEOPLE;
  public static final int LONGEST_HORIZON_DAYS = 730;
  public static final int ARRIVAL_DAYS = 7;

  public CohortSettings {
    inRange("people", people, MOST_PEOPLE);
    inRange("the horizon's days", horizonDays, LONGEST_HORIZON_DAYS);
    if (!(holdOut >= 0 && holdOut <= 0.9)) {
      throw new Refused("the hold-out must be 0 to 0.9, not " + holdOut);
    }
    arrivals.days(people, day(start));
  }

  /** Coming over {@link #ARRIVAL_DAYS} days, with no hold-out. */
  public static CohortSettings of(int people, long seed, Instant start, int horizonDays) {
    return new CohortSettings(
        people, seed, start, horizonDays, new ArrivalPlan.Evenly(ARRIVAL_DAYS), 0);
  }

  /** A cohort as it is planned, with a seed and a start. */
  public static CohortSettings of(CohortPlan plan, long seed, Instant start, int horizonDays) {
    return new CohortSettings(
        plan.people(), seed, start, horizonDays, plan.arrivals(), plan.holdOut());
  }

  /** The same with other people of the same kind. */
  public CohortSettings withPeople(int other) {
    return new CohortSettings(other, seed, start, horizonDays, arrivals, holdOut);
  }

  /** The same with as many others. */
  public CohortSettings withSeed(long other) {
    return new CohortSettings(people, other, start, horizonDays, arrivals, holdOut);
  }

  /** Over how many days they come. */
  public int arrivalDays() {
    return arrivals.days(people, startDay());
  }

  /** The first day, in whatever zone. */
  public LocalDate startDay() {
    return day(start);
  }

  private static LocalDate day(Instant start) {
    return start.atZone(ZoneOffset.UTC).toLocalDate();
  }

  private static void inRange(String what, int value, int most) {
    if (value < 1 || value > most) {
      throw new Refused("%s must be 1 to %,d, not %,d".formatted(what, most, value));
    }
  }
}
