package org.opentrellis.core.dryrun;

import java.util.Arrays;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.stats.TimeBuckets;

/**
 * When people got to each step of a journey: by time since entry, by calendar day and by quarter of
 * the local day. All in one array, because this is what a run touches most.
 */
final class ArrivalTally {
  /** Local times of arrival are counted by quarter of an hour. */
  private static final int QUARTERS = 96;

  private static final int DAY = ZoneClock.DAY;

  private final int days;
  private final int stride;
  private final int[] cells;

  /** The latest arrival, and where it counts. */
  private long at = Long.MIN_VALUE;

  private long since;
  private int bucket;
  private int dayCell;
  private int quarterCell;
  private long hour;

  /**
   * @param days that are counted; the last counts all later ones
   */
  ArrivalTally(int steps, int days) {
    this.days = days;
    stride = TimeBuckets.BUCKETS + days + QUARTERS;
    cells = new int[steps * stride];
  }

  /** Many steps are reached at the instant of the step before: their moment is read but once. */
  void accept(int step, Visit visit) {
    if (visit.now() != at || visit.entryAt() != since) {
      read(visit);
    }
    int base = step * stride;
    cells[base + bucket]++;
    cells[base + dayCell]++;
    cells[base + quarterCell]++;
  }

  /** The visit's local hour since 1970. */
  long hour(Visit visit) {
    if (visit.now() != at || visit.entryAt() != since) {
      read(visit);
    }
    return hour;
  }

  private void read(Visit visit) {
    at = visit.now();
    since = visit.entryAt();
    long local = visit.clock().local(at);
    long localDay = Math.floorDiv(local, (long) DAY);
    bucket = TimeBuckets.index(at - since);
    dayCell = TimeBuckets.BUCKETS + (int) Math.min(localDay - visit.entryDay(), days - 1L);
    int second = (int) (local - localDay * DAY);
    quarterCell = TimeBuckets.BUCKETS + days + second / 900;
    hour = localDay * 24 + second / 3600;
  }

  void combine(ArrivalTally other) {
    for (int i = 0; i < cells.length; i++) {
      cells[i] += other.cells[i];
    }
  }

  TimeBuckets sinceEntry(int step) {
    return TimeBuckets.of(part(step, 0, TimeBuckets.BUCKETS));
  }

  long[] byDay(int step) {
    return wide(part(step, TimeBuckets.BUCKETS, days));
  }

  long[] byQuarter(int step) {
    return wide(part(step, TimeBuckets.BUCKETS + days, QUARTERS));
  }

  /** How many got to a step. */
  long total(int step) {
    return Arrays.stream(byDay(step)).sum();
  }

  private int[] part(int step, int from, int length) {
    int start = step * stride + from;
    return Arrays.copyOfRange(cells, start, start + length);
  }

  private static long[] wide(int[] counts) {
    return Arrays.stream(counts).asLongStream().toArray();
  }
}
