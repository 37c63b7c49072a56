package org.opentrellis.core.dryrun;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.machine.LeaveReason;

/** A step of a plain journey, ready for people to go through, and what is counted at it. */
abstract class PlainStop {
  static final int NONE = -1;

  /** Its number in the journey. */
  final int number;

  /** The step that they get to at the same instant, unless they leave; or {@link #NONE}. */
  final int follows;

  final StepTally counts;
  final JourneyTally tally;
  final DayTally days;
  private final int endOfDays;

  PlainStop(int number, JourneyTally tally) {
    this.number = number;
    this.tally = tally;
    days = tally.days;
    endOfDays = tally.horizonDays() + 1;
    counts = tally.steps[number];
    follows = tally.arrivals.followsAtOnce(number);
  }

  /**
   * Does what the step does with somebody who has got here.
   *
   * @return where they go on; null if they do not
   */
  abstract @Nullable PlainStop act(PlainWalk walk);

  /**
   * They go on.
   *
   * @param next null if that is the end of the journey
   */
  final @Nullable PlainStop goOn(PlainWalk walk, @Nullable PlainStop next) {
    if (next == null) {
      walk.over = true;
      tally.finished++;
      counts.finished++;
      days.finishes(walk.now - walk.entryAt);
    } else if (follows == NONE) { // else whoever got here counts for the next one, too
      walk.arrivals.add(next.number, 1);
    }
    return next;
  }

  /** They go on by one of some ways. */
  final @Nullable PlainStop takes(PlainWalk walk, int way, @Nullable PlainStop[] arms) {
    counts.ways[way]++;
    walk.note(number, way);
    return goOn(walk, arms[way]);
  }

  /**
   * They stand here until a moment, unless they leave sooner or are not looked at any more.
   *
   * @return whether they are still here at that moment
   */
  final boolean stays(PlainWalk walk, long until) {
    if (walk.outAt <= Math.min(until, walk.endsAt)) {
      leaves(walk);
      return false;
    }
    if (until > walk.endsAt) {
      counts.waiting++;
      tally.waiting++;
      walk.note(number, 700);
      stoodUpTo(walk, endOfDays);
      return false;
    }
    walk.comesTo(until);
    stoodUpTo(walk, Days.reached(until - walk.entryAt));
    return true;
  }

  /** They stand here for so many whole days, by a clock that is not set meanwhile. */
  final void staysDays(PlainWalk walk, int wholeDays, long until) {
    walk.now = until;
    walk.arrivals.comesLater(wholeDays, until - walk.entryAt);
    stoodUpTo(walk, walk.counted + wholeDays);
  }

  /** They leave the journey here, as soon as something takes them out. */
  final void leaves(PlainWalk walk) {
    long at = Math.max(walk.outAt, walk.now);
    LeaveReason reason = walk.why(at);
    walk.now = at;
    walk.over = true;
    stoodUpTo(walk, Days.reached(at - walk.entryAt));
    counts.left[reason.ordinal()]++;
    tally.left[reason.ordinal()]++;
    days.leaves(reason, at - walk.entryAt);
    walk.note(number, 800 + reason.ordinal());
    if (follows != NONE) {
      walk.arrivals.add(follows, -1);
    }
  }

  private void stoodUpTo(PlainWalk walk, int day) {
    int from = walk.counted;
    if (day > from) {
      counts.stay(from, day);
      walk.counted = day;
    }
  }
}
