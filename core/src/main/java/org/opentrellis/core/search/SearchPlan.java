package org.opentrellis.core.search;

import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.vary.VariedRun;

/**
 * What is to be looked for in a journey.
 *
 * @param plan the journey as it is, and the people that it is planned for
 */
public record SearchPlan(VariedRun plan, SearchWish wish) {
  public SearchPlan {
    boolean needsGoal =
        wish.wanted().what() == Wanted.What.GOAL
            || wish.wanted().what() == Wanted.What.FEWER_EMAILS;
    if (needsGoal && plan.journey().goal().isEmpty()) {
      throw new Refused("the journey has no goal that could be met more often, or stay as it is");
    }
  }

  Wanted wanted() {
    return wish.wanted();
  }

  Limits limits() {
    return wish.limits();
  }

  int people() {
    return wish.people();
  }

  /** How many people the plan itself is for. */
  int planned() {
    return plan.settings().people();
  }

  /** How many steps the journey has as it is. */
  public long steps() {
    return plan.journey().steps().count();
  }

  Space space() {
    return Space.of(plan, wish.vary());
  }

  /**
   * How much there is to try.
   *
   * @throws Refused if something cannot vary so
   */
  public SearchSize size() {
    Space space = space();
    Schedule schedule = Schedule.of(space.size(), people());
    return new SearchSize(
        space.size(),
        schedule.tries(),
        schedule.all(),
        schedule.personRuns() + Rematch.personRuns(this));
  }
}
