package org.opentrellis.core.dryrun;

import java.time.Instant;

/**
 * Who goes through a dry run, besides how they behave.
 *
 * @param people how many, 1 to 10 million
 * @param seed of all draws; the same seed gives the same people
 * @param start when the first of them enter; they come evenly over {@link #ARRIVAL_DAYS} days
 * @param horizonDays how long each person is followed after they first come, 1 to 730
 */
public record CohortSettings(int people, long seed, Instant start, int horizonDays) {
  public static final int MOST_PEOPLE = 10_000_000;
  public static final int LONGEST_HORIZON_DAYS = 730;
  public static final int ARRIVAL_DAYS = 7;

  public CohortSettings {
    if (people < 1 || people > MOST_PEOPLE) {
      throw new IllegalArgumentException("people must be 1 to " + MOST_PEOPLE + ", not " + people);
    }
    if (horizonDays < 1 || horizonDays > LONGEST_HORIZON_DAYS) {
      throw new IllegalArgumentException(
          "the horizon must be 1 to " + LONGEST_HORIZON_DAYS + " days, not " + horizonDays);
    }
  }
}
