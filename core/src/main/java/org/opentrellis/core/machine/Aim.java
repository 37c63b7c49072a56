package org.opentrellis.core.machine;

import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.SecondaryGoal;

/**
 * A compiled goal.
 *
 * @param seconds since entry within which it counts
 */
record Aim(Question what, long seconds) {
  static Aim of(Goal goal, Questions questions) {
    return new Aim(questions.compile(goal.what()), (long) goal.withinDays() * ZoneClock.DAY);
  }

  static Aim of(SecondaryGoal goal, Questions questions) {
    return new Aim(questions.compile(goal.what()), (long) goal.withinDays() * ZoneClock.DAY);
  }
}
