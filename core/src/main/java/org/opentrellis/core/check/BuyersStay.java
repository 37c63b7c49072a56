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
  private static final int USUAL_DAYS = 21;

  @Override
  public List<Finding> look(CheckContext context) {
    Journey journey = context.journey();
    Optional<Goal> goal = journey.goal();
    boolean leavesAtGoal = goal.map(Goal::leaveWhenMet).orElse(false);
    if (leavesAtGoal || leavesWhenBought(journey) || context.expanded().sends().isEmpty()) {
      return List.of();
    }
    double anyway = buyAnyway(context.behaviour().groups());
    String why = goal.isEmpty() ? "There is no goal" : "Nobody leaves when the goal is met";
    String sentence =
        "%s, so people who buy still get every email. At least %.1f%% of them buy within 30 days.";
    Goal mended =
        goal.map(g -> new Goal(g.what(), g.withinDays(), true))
            .orElse(Goal.bought(USUAL_DAYS, true));
    String label =
        goal.isEmpty()
            ? "Set goal: bought within 21 days, then leave"
            : "Leave when the goal is met";
    return List.of(
        Findings.fixedBy(
            Findings.warning(
                "buyers-stay", String.format(Locale.ROOT, sentence, why, anyway * 100)),
            label,
            journey.edit().goal(Optional.of(mended)).done()));
  }

  private static boolean leavesWhenBought(Journey journey) {
    return journey
        .leaveConditions()
        .flatMap(Condition::all)
        .anyMatch(Condition.Bought.class::isInstance);
  }

  static double buyAnyway(List<AudienceGroup> groups) {
    return groups.stream().mapToDouble(g -> g.share() * g.buysAnyway().value()).sum();
  }
}
