package org.opentrellis.core.dryrun;

import java.util.Arrays;
import java.util.stream.IntStream;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.stats.TimeBuckets;

/**
 * When people got to each step of a journey: by time since entry, by calendar day and by quarter of
 * the local day.
 *
 * <p>Most steps are reached at the instant of the step before, so while a run goes on, an arrival
 * counts for the step and for those that follow it at once; should they not be reached after all,
 * it is taken back from the first of them on. {@link #finish} makes it the counts of single steps.
 * They are kept in half the width where a run touches them most, and moved into the whole width
 * before any of them could be full.
 */
final class ArrivalTally {
  private static final int QUARTERS = Days.QUARTERS;
  private static final int NONE = -1;

  /** After so many visits counts move into the whole width. */
  private static final int FULL = 1 << 29;

  private final int days;
  private final int stride;

  /** By step: each day, then each quarter of the day; of late. */
  private final int[] cells;

  /** By step: each bucket of the time since entry; of late. */
  private final int[] buckets;

  /** The same of what was counted before. */
  private final long[] allCells;

  private final long[] allBuckets;

  /** Visits that are over since counts moved; no cell was added to much more often. */
  private int added;

  private final int[] followsAtOnce;

  /** The step that the latest arrival counts for already, though it is not reached yet. */
  private int expected = NONE;

  /** Where an arrival at the moment counts. */
  private int bucket;

  /** The day since entry; before 0 where clocks went back past midnight. */
  private int day;

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
    allCells = new long[cells.length];
    allBuckets = new long[buckets.length];
  }

  /** Time comes to a moment for a visit; what follows is about that, until it comes to another. */
  void comesTo(Visit visit) {
    stops();
    long at = visit.now();
    comesTo(visit.clock().local(at), visit.entryDay(), at - visit.entryAt());
  }

  /**
   * The same for somebody else, of whom the counter of the machine's visits knows nothing.
   *
   * @param local their moment on the journey's clock
   * @param entryDay the day of their entry, on the same clock
   */
  void comesTo(long local, long entryDay, long sinceEntry) {
    long sinceMidnight = local - entryDay * ZoneClock.DAY;
    int quarters = Days.quarters(sinceMidnight);
    day = Days.passed(sinceMidnight);
    hour = entryDay * 24 + (quarters >> 2);
    bucket = TimeBuckets.index(sinceEntry);
    dayCell = Math.max(0, Math.min(day, days - 1)); // clocks may go back past midnight
    quarterCell = days + quarters - day * QUARTERS;
  }

  /** The same, one or more whole days later by a clock that is not set meanwhile. */
  void comesLater(int wholeDays, long sinceEntry) {
    day += wholeDays;
    hour += wholeDays * 24L;
    bucket = TimeBuckets.index(sinceEntry);
    dayCell = Math.min(day, days - 1);
  }

  /** The step that follows another at once, or a negative number. */
  int followsAtOnce(int step) {
    return followsAtOnce[step];
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

  /**
   * @param count 1, or -1 for somebody who does not get there after all
   */
  void add(int step, int count) {
    int base = step * stride;
    buckets[step * TimeBuckets.BUCKETS + bucket] += count;
    cells[base + dayCell] += count;
    cells[base + quarterCell] += count;
  }

  /** The local hour since 1970 of the moment. */
  long hour() {
    return hour;
  }

  /** A visit is over, which got to each step once at most. */
  void close() {
    if (++added >= FULL) {
      move();
    }
  }

  private void move() {
    move(cells, allCells);
    move(buckets, allBuckets);
    added = 0;
  }

  private static void move(int[] from, long[] to) {
    for (int i = 0; i < from.length; i++) {
      to[i] += from[i];
      from[i] = 0;
    }
  }

  /** Once everybody has been counted: from now on, cells are of single steps. */
  void finish() {
    stops();
    move();
    for (int step = 0; step < followsAtOnce.length; step++) {
      if (followsAtOnce[step] != NONE) {
        addTo(followsAtOnce[step], step, allCells, stride);
        addTo(followsAtOnce[step], step, allBuckets, TimeBuckets.BUCKETS);
      }
    }
  }

  private static void addTo(int step, int from, long[] counts, int stride) {
    for (int i = 0; i < stride; i++) {
      counts[step * stride + i] += counts[from * stride + i];
    }
  }

  /** Both must be finished. */
  void combine(ArrivalTally other) {
    StepTally.add(allCells, other.allCells);
    StepTally.add(allBuckets, other.allBuckets);
  }

  /** It must be finished. */
  void counts(Counts counts) {
    counts.of(allCells);
    counts.of(allBuckets);
  }

  TimeBuckets sinceEntry(int step) {
    int start = step * TimeBuckets.BUCKETS;
    return TimeBuckets.of(Arrays.copyOfRange(allBuckets, start, start + TimeBuckets.BUCKETS));
  }

  long[] byDay(int step) {
    int start = step * stride;
    return Arrays.copyOfRange(allCells, start, start + days);
  }

  long[] byQuarter(int step) {
    int start = step * stride + days;
    return Arrays.copyOfRange(allCells, start, start + QUARTERS);
  }

  /** How many got to a step. */
  long total(int step) {
    return Arrays.stream(byDay(step)).sum();
  }
}
