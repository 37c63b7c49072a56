package org.opentrellis.core.measure;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.StepTally;
import org.opentrellis.core.stats.TimeBuckets;

/**
 * When people get to a step.
 *
 * @param medianHours since entry
 * @param medianErrorHours by how much that may be off, since times are counted in buckets; those
 *     below are off by at most 1/128 of themselves, too
 * @param quarterHours since entry that a quarter do not exceed
 * @param threeQuarterHours since entry that three quarters do not exceed
 * @param earliestHours since entry that 5% do not exceed
 * @param latestHours since entry that 95% do not exceed
 * @param day the median calendar day since entry in the person's zone; the day of entry is 0
 * @param firstDay the day since entry that 5% arrive before or on
 * @param lastDay the day since entry that 95% arrive before or on
 * @param localTime the local time, as HH:mm, if at least half arrive within its quarter of an hour
 */
public record Arrival(
    double medianHours,
    double medianErrorHours,
    double quarterHours,
    double threeQuarterHours,
    double earliestHours,
    double latestHours,
    int day,
    int firstDay,
    int lastDay,
    @Nullable String localTime) {

  /** Null when nobody got there. */
  static @Nullable Arrival of(StepTally tally) {
    TimeBuckets times = tally.sinceEntry();
    if (times.total() == 0) {
      return null;
    }
    return new Arrival(
        times.quantile(0.5) / 3600.0,
        times.quantileError(0.5) / 3600.0,
        times.quantile(0.25) / 3600.0,
        times.quantile(0.75) / 3600.0,
        times.quantile(0.05) / 3600.0,
        times.quantile(0.95) / 3600.0,
        dayOf(0.5, tally.byDay(), times.total()),
        dayOf(0.05, tally.byDay(), times.total()),
        dayOf(0.95, tally.byDay(), times.total()),
        commonTime(tally.byQuarter(), times.total()));
  }

  /** The day by whose end a share of all have arrived. */
  private static int dayOf(double share, long[] byDay, long total) {
    long seen = 0;
    for (int day = 0; day < byDay.length; day++) {
      seen += byDay[day];
      if (seen >= share * total) {
        return day;
      }
    }
    throw new IllegalStateException("days do not add up to the total");
  }

  private static @Nullable String commonTime(long[] byQuarter, long total) {
    int most = 0;
    for (int quarter = 1; quarter < byQuarter.length; quarter++) {
      most = byQuarter[quarter] > byQuarter[most] ? quarter : most;
    }
    if (2 * byQuarter[most] < total) {
      return null;
    }
    return "%02d:%02d".formatted(most / 4, most % 4 * 15);
  }
}
