package org.opentrellis.core.check;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;

/** People who have bought go on getting mail that asks them to buy. */
final class BuyersStay implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    Journey journey = context.journey();
    Optional<Goal> stays = journey.goal().filter(goal -> !goal.leaveWhenMet());
    if (stays.isEmpty() || leavesWhenBought(journey) || context.expanded().sends().isEmpty()) {
      return List.of();
    }
    Goal goal = stays.get();
    return List.of(
        Findings.fixedBy(
            Findings.warning(
                "buyers-stay",
                "Nobody leaves when the goal is met, so people who buy still get every email. "
                    + atLeast(context)),
            "Leave when the goal is met",
            journey
                .edit()
                .goal(Optional.of(new Goal(goal.what(), goal.withinDays(), true)))
                .done()));
  }

  /** How many buy whatever is sent to them. */
  static String atLeast(CheckContext context) {
    return String.format(
        Locale.ROOT,
        "At least %.1f%% of them buy within 30 days.",
        buyAnyway(context.behaviour().groups()) * 100);
  }

  static boolean leavesWhenBought(Journey journey) {
    return journey
        .leaveConditions()
        .flatMap(Condition::all)
        .anyMatch(Condition.Bought.class::isInstance);
  }

  static double buyAnyway(List<AudienceGroup> groups) {
    return groups.stream().mapToDouble(g -> g.share() * g.buysAnyway().value()).sum();
  }
}
