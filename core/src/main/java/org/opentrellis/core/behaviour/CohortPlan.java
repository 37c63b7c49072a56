package org.opentrellis.core.behaviour;

import java.time.ZoneId;
import java.util.List;
import org.opentrellis.core.problem.Refused;

/**
 * Who enters: what a cohort is kept by under a name.
 *
 * @param people how many, 1 to 2,000 million
 * @param groups who they are; their shares add up to 1
 * @param arrivals when they come
 * @param holdOut share of them who get nothing, to see what the journey adds, 0 to 0.9
 */
public record CohortPlan(
    int people, List<AudienceGroup> groups, ArrivalPlan arrivals, double holdOut) {
  public static final int MOST_PEOPLE = 2_000_000_000;

  public CohortPlan {
    groups = List.copyOf(groups);
    if (people < 1 || people > MOST_PEOPLE) {
      throw new Refused("people must be 1 to %,d, not %,d".formatted(MOST_PEOPLE, people));
    }
    if (!(holdOut >= 0 && holdOut <= 0.9)) {
      throw new Refused("the hold-out must be 0 to 0.9, not " + holdOut);
    }
    AudienceGroup.requireWhole(groups);
  }

  /** So many people who come evenly over a week, none of them held out. */
  public static CohortPlan of(int people, List<AudienceGroup> groups) {
    return new CohortPlan(people, groups, new ArrivalPlan.Evenly(7), 0);
  }

  /** Where its days are counted: in the zone of the first group. */
  public ZoneId zone() {
    return groups.get(0).zone();
  }
}
