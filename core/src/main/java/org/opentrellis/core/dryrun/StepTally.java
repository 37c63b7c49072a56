package org.opentrellis.core.dryrun;

import java.util.Arrays;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.stats.TimeBuckets;

/** Counts of one step. Integers only; merging in any order gives the same. */
public final class StepTally {
  /** Local times of arrival are counted by quarter of an hour. */
  public static final int QUARTERS = 96;

  long entered;
  long passed;
  long waiting;
  final long[] left = new long[LeaveReason.values().length];
  final long[] arms;
  final TimeBuckets sinceEntry = new TimeBuckets();
  final long[] byDay;
  final long[] byQuarter = new long[QUARTERS];

  StepTally(int arms, int days) {
    this.arms = new long[arms];
    this.byDay = new long[days];
  }

  void combine(StepTally other) {
    entered += other.entered;
    passed += other.passed;
    waiting += other.waiting;
    add(left, other.left);
    add(arms, other.arms);
    add(byDay, other.byDay);
    add(byQuarter, other.byQuarter);
    sinceEntry.combine(other.sinceEntry);
  }

  /** Times that somebody got to this step. */
  public long entered() {
    return entered;
  }

  /** Times that somebody went on from it. */
  public long passed() {
    return passed;
  }

  /** Still there at the horizon. */
  public long waiting() {
    return waiting;
  }

  /** Left the journey here. */
  public long left(LeaveReason reason) {
    return left[reason.ordinal()];
  }

  /** Left the journey here for any reason. */
  public long left() {
    return Arrays.stream(left).sum();
  }

  /** Took each arm, otherwise last; empty if the step is no branch. */
  public long[] arms() {
    return arms.clone();
  }

  /** Seconds since entry at arrival. */
  public TimeBuckets sinceEntry() {
    return sinceEntry;
  }

  /** Arrivals by calendar day since entry in the person's zone; the last counts all later ones. */
  public long[] byDay() {
    return byDay.clone();
  }

  /** Arrivals by quarter of the local day. */
  public long[] byQuarter() {
    return byQuarter.clone();
  }

  static void add(long[] to, long[] from) {
    for (int i = 0; i < to.length; i++) {
      to[i] += from[i];
    }
  }
}
