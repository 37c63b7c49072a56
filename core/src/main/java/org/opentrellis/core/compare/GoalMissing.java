package org.opentrellis.core.compare;

import java.util.List;

/** A journey without a goal cannot do better or worse than another. */
final class GoalMissing implements StandOutRule {
  private static final double ABOVE_ALL_BUT_VERDICTS = 90;

  @Override
  public List<StandOut> find(ComparedJourney side, int place) {
    return side.measures().goal() != null
        ? List.of()
        : List.of(
            new StandOut(
                "goal-missing",
                "%s has no goal, so no verdict on it is possible. Give it one in its run sheet, such as \u201cgoal: bought anything within 21 days\u201d, and run it again."
                    .formatted(side.quoted()),
                place,
                null,
                null,
                ABOVE_ALL_BUT_VERDICTS));
  }
}
