package org.opentrellis.core.dryrun;

import java.util.Arrays;
import java.util.stream.IntStream;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.stats.TimeBuckets;

/**
 * When people got to each step of a journey: by time since entry, by calendar day and by quarter of
 * the local day. In two arrays, dense where a run touches them most.
 *
 * <p>Most steps are reached at the instant of the step before, so while a run goes on, an arrival
 * counts for the step and for those that follow it at once; should they not be reached after all,
 * it is taken back from the first of them on. {@link #finish} makes it the counts of single steps.
 */
final class ArrivalTally {
  private static final int QUARTERS = Days.QUARTERS;
  private static final int NONE = -1;

  private final int days;
  private final int stride;

  /** By step: each day, then each quarter of the day. */
  private final int[] cells;

  /** By step: each bucket of the time since entry. */
  private final int[] buckets;

  private final int[] followsAtOnce;

  /** The step that the latest arrival counts for already, though it is not reached yet. */
  private int expected = NONE;

  /** Where an arrival at the moment counts. */
  private int bucket;

  private int dayCell;
  private int quarterCell;
  private long hour;

  /**
   * @param days that are counted; the last counts all later ones
   */
  ArrivalTally(Program program, int days) {
    this.days = days;
    int steps = program.steps().size();
    followsAtOnce = IntStream.range(0, steps).map(program::followsAtOnce).toArray();
    stride = days + QUARTERS;
    cells = new int[steps * stride];
    buckets = new int[steps * TimeBuckets.BUCKETS];
  }

  /** Time comes to a moment for a visit; what follows is about that, until it comes to another. */
  void comesTo(Visit visit) {
    stops();
    long at = visit.now();
    long entryDay = visit.entryDay();
    long sinceMidnight = visit.clock().local(at) - entryDay * ZoneClock.DAY;
    int quarters = Days.quarters(sinceMidnight);
    int day = Days.passed(sinceMidnight);
    hour = entryDay * 24 + (quarters >> 2);
    bucket = TimeBuckets.index(at - visit.entryAt());
    dayCell = Math.max(0, Math.min(day, days - 1)); // clocks may go back past midnight
    quarterCell = days + quarters - day * QUARTERS;
  }

  /** Somebody gets to a step at that moment. */
  void accept(int step) {
    if (step != expected) {
      stops();
      add(step, 1);
    }
    expected = followsAtOnce[step];
  }

  /** Whoever was on the way does not get to what would have followed at once. */
  void stops() {
    if (expected != NONE) {
      add(expected, -1);
      expected = NONE;
    }
  }

  private void add(int step, int count) {
    int base = step * stride;
    buckets[step * TimeBuckets.BUCKETS + bucket] += count;
    cells[base + dayCell] += count;
    cells[base + quarterCell] += count;
  }

  /** The local hour since 1970 of the moment. */
  long hour() {
    return hour;
  }

  /** Once everybody has been counted: from now on, cells are of single steps. */
  void finish() {
    stops();
    for (int step = 0; step < followsAtOnce.length; step++) {
      if (followsAtOnce[step] != NONE) {
        addTo(followsAtOnce[step], step, cells, stride);
        addTo(followsAtOnce[step], step, buckets, TimeBuckets.BUCKETS);
      }
    }
  }

  private static void addTo(int step, int from, int[] counts, int stride) {
    for (int i = 0; i < stride; i++) {
      counts[step * stride + i] += counts[from * stride + i];
    }
  }

  /** Both must be finished. */
  void combine(ArrivalTally other) {
    StepTally.add(cells, other.cells);
    StepTally.add(buckets, other.buckets);
  }

  TimeBuckets sinceEntry(int step) {
    int start = step * TimeBuckets.BUCKETS;
    return TimeBuckets.of(Arrays.copyOfRange(buckets, start, start + TimeBuckets.BUCKETS));
  }

  long[] byDay(int step) {
    int start = step * stride;
    return wide(Arrays.copyOfRange(cells, start, start + days));
  }

  long[] byQuarter(int step) {
    int start = step * stride + days;
    return wide(Arrays.copyOfRange(cells, start, start + QUARTERS));
  }

  /** How many got to a step. */
  long total(int step) {
    return Arrays.stream(byDay(step)).sum();
  }

  private static long[] wide(int[] counts) {
    return Arrays.stream(counts).asLongStream().toArray();
  }
}
