package org.opentrellis.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Looks for what stands out in runs, each thing by a rule of its own with its threshold. */
final class StandOuts {
  private static final int MOST_TOLD = 12;

  private static final List<StandOutRule> RULES =
      List.of(
          new GoalMissing(),
          new LossBetweenEmails(),
          new SecondTryLifts(),
          new OpensFade(),
          new MostOpened(),
          new MailAfterGoal(),
          new OpensByMachines(),
          new UnsubscribesPeak(),
          new JourneyAdds());

  private StandOuts() {}

  /** The weightiest first. */
  static List<StandOut> of(List<ComparedJourney> sides, List<@Nullable WholeRunDifference> wholes) {
    List<StandOut> found = new ArrayList<>();
    for (int i = 0; i < sides.size(); i++) {
      WholeRunDifference whole = wholes.get(i);
      if (whole != null && whole.goal() != null) {
        found.add(better(sides.get(i), i, whole, whole.goal()));
      }
      for (StandOutRule rule : RULES) {
        found.addAll(rule.find(sides.get(i), i));
      }
    }
    found.sort(Comparator.comparingDouble(StandOut::weight).reversed());
    return found.subList(0, Math.min(MOST_TOLD, found.size()));
  }

  /** The first question is always which does better. */
  private static StandOut better(
      ComparedJourney side, int place, WholeRunDifference whole, Judged goal) {
    boolean settled = goal.kind() == Judged.Kind.DIFFERENCE;
    return new StandOut(
        "goal-against-baseline", whole.goalSentence(), place, null, null, settled ? 100 : 60);
  }
}
