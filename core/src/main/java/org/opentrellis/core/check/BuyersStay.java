package org.opentrellis.core.check;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.problem.Severity;

/** People who have bought go on getting mail that asks them to buy. */
final class BuyersStay implements Check {
  private static final int USUAL_DAYS = 21;

  @Override
  public List<Finding> look(CheckContext context) {
    Optional<Goal> goal = context.journey().goal();
    if (goal.map(Goal::leaveWhenMet).orElse(false) || context.journey().emails().isEmpty()) {
      return List.of();
    }
    double anyway = buyAnyway(context.behaviour().groups());
    String why = goal.isEmpty() ? "There is no goal" : "Nobody leaves when the goal is met";
    String sentence =
        "%s, so people who buy still get every email. At least %.1f%% of them buy within 30 days.";
    Goal mended = new Goal(goal.map(Goal::withinDays).orElse(USUAL_DAYS), true);
    String label =
        goal.isEmpty()
            ? "Set goal: bought within 21 days, then leave"
            : "Leave when the goal is met";
    return List.of(
        new Finding(
            "buyers-stay",
            Severity.WARNING,
            Optional.empty(),
            String.format(Locale.ROOT, sentence, why, anyway * 100),
            Optional.of(new Finding.Fix(label, StepEdits.withGoal(context.journey(), mended)))));
  }

  private static double buyAnyway(List<AudienceGroup> groups) {
    return groups.stream().mapToDouble(g -> g.share() * g.buysAnyway().value()).sum();
  }
}
