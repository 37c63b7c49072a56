package org.opentrellis.core.dryrun;

import java.util.Arrays;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.stats.TimeBuckets;

/** Counts of one step. Integers only; merging in any order gives the same. */
public final class StepTally {
  private final ArrivalTally arrivals;
  private final int number;
  long waiting;
  long finished;
  long held;
  long heldSeconds;
  final long[] skipped = new long[SkipReason.values().length];
  final long[] left = new long[LeaveReason.values().length];
  final long[] ways;
  private final int days;

  /** Who stands here at the end of each whole day, as changes from the day before. */
  final long[] stayChanges;

  StepTally(ArrivalTally arrivals, int number, int ways, int days) {
    this.arrivals = arrivals;
    this.number = number;
    this.ways = new long[ways];
    this.days = days;
    this.stayChanges = new long[days + 1];
  }

  /** Counts a stay from one whole day since entry to before another. */
  void stay(int from, int to) {
    if (from < days) {
      stayChanges[from]++;
      stayChanges[Math.min(to, days)]--;
    }
  }

  void combine(StepTally other) {
    waiting += other.waiting;
    finished += other.finished;
    held += other.held;
    heldSeconds += other.heldSeconds;
    add(skipped, other.skipped);
    add(left, other.left);
    add(ways, other.ways);
    add(stayChanges, other.stayChanges);
  }

  void counts(Counts counts) {
    waiting = counts.of(waiting);
    finished = counts.of(finished);
    held = counts.of(held);
    heldSeconds = counts.of(heldSeconds);
    counts.of(skipped);
    counts.of(left);
    counts.of(ways);
    counts.of(stayChanges);
  }

  /** Times that somebody got to this step. */
  public long entered() {
    return arrivals.total(number);
  }

  /** Times that somebody went on from it: who got there neither left nor is there still. */
  public long passed() {
    return entered() - left() - waiting;
  }

  /** Still there at the horizon. */
  public long waiting() {
    return waiting;
  }

  /** Got through the journey by passing this step. */
  public long finished() {
    return finished;
  }

  /** Messages that had to wait for the send window or the frequency guard. */
  public long held() {
    return held;
  }

  /** How long those waited, in all. */
  public long heldSeconds() {
    return heldSeconds;
  }

  /** Went on without the message. */
  public long skipped(SkipReason reason) {
    return skipped[reason.ordinal()];
  }

  /** Went on without the message for any reason. */
  public long skipped() {
    return Arrays.stream(skipped).sum();
  }

  /** Left the journey here. */
  public long left(LeaveReason reason) {
    return left[reason.ordinal()];
  }

  /** Left the journey here for any reason. */
  public long left() {
    return Arrays.stream(left).sum();
  }

  /** Took each way, otherwise last; empty if the step does not part people. */
  public long[] ways() {
    return ways.clone();
  }

  /** Seconds since entry at arrival. */
  public TimeBuckets sinceEntry() {
    return arrivals.sinceEntry(number);
  }

  /** Arrivals by calendar day since entry in the person's zone; the last counts all later ones. */
  public long[] byDay() {
    return arrivals.byDay(number);
  }

  /** Arrivals by quarter of the local day. */
  public long[] byQuarter() {
    return arrivals.byQuarter(number);
  }

  /** How many stand at this step a whole number of days of 24 hours after they entered. */
  public long[] standingByDay() {
    long[] standing = new long[days];
    long now = 0;
    for (int day = 0; day < standing.length; day++) {
      now += stayChanges[day];
      standing[day] = now;
    }
    return standing;
  }

  static void add(long[] to, long[] from) {
    for (int i = 0; i < to.length; i++) {
      to[i] += from[i];
    }
  }
}
