package org.opentrellis.core.search;

import java.util.List;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.vary.VariedRun;

/**
 * What is to be looked for.
 *
 * @param plan the journey as it is, and the people that it is planned for
 * @param leeways what may vary
 * @param people how many go through each variation that stays in the race, 500 to 200,000
 */
public record SearchPlan(
    VariedRun plan, List<Leeway> leeways, Wanted wanted, Limits limits, int people) {
  public static final int FEWEST_PEOPLE = 500;
  public static final int MOST_PEOPLE = 200_000;

  public SearchPlan {
    leeways = List.copyOf(leeways);
    if (people < FEWEST_PEOPLE || people > MOST_PEOPLE) {
      throw new Refused(
          "%d to %d people go through each variation, not %d"
              .formatted(FEWEST_PEOPLE, MOST_PEOPLE, people));
    }
    if (wanted.what() == Wanted.What.GOAL && plan.journey().goal().isEmpty()) {
      throw new Refused("the journey has no goal that more people could meet");
    }
  }

  /** The plan with as many people as the search takes. */
  VariedRun searched() {
    return plan.with(plan.settings().withPeople(people));
  }

  /** How many people the plan itself is for. */
  int planned() {
    return plan.settings().people();
  }

  /**
   * How much there is to try.
   *
   * @throws Refused if something cannot vary so
   */
  public SearchSize size() {
    Space space = Space.of(plan, leeways);
    Schedule schedule = Schedule.of(space.size(), people);
    return new SearchSize(space.size(), schedule.tries(), schedule.all(), schedule.personRuns());
  }
}
