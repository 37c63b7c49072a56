package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.SecondaryGoal;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;

/** A goal that nobody can meet, or a rule by which nobody can leave. */
final class NeverHolds implements Check {
  private static final String CODE = "never-holds";
  private static final double DAY = 24;

  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    Impossible impossible = new Impossible(context);
    Map<StepId, Double> sentAfter = sentAfter(context);
    context
        .journey()
        .goal()
        .flatMap(goal -> why(goal, impossible, sentAfter))
        .ifPresent(why -> findings.add(warning("Nobody can meet the goal: " + why)));
    for (SecondaryGoal goal : context.journey().secondaryGoals()) {
      why(new Goal(goal.what(), goal.withinDays(), false), impossible, sentAfter)
          .ifPresent(why -> findings.add(warning("Nobody can meet a secondary goal: " + why)));
    }
    context
        .journey()
        .leaveConditions()
        .flatMap(rule -> impossible.why(rule).stream())
        .forEach(why -> findings.add(warning("Nobody ever leaves by a rule: " + why)));
    return findings;
  }

  private static Finding warning(String sentence) {
    return Findings.warning(CODE, sentence + ".");
  }

  /** By send, how many hours after entry it goes out at the earliest. */
  private static Map<StepId, Double> sentAfter(CheckContext context) {
    Map<StepId, Double> after = new HashMap<>();
    SentBefore.walk(
        context.expanded(),
        (step, before) -> {
          if (step instanceof Step.Send) {
            after.put(step.id(), before.elapsed());
          }
        });
    return after;
  }

  private static Optional<String> why(
      Goal goal, Impossible impossible, Map<StepId, Double> sentAfter) {
    return impossible.why(goal.what()).or(() -> tooLate(goal, sentAfter));
  }

  /** It asks about one email, which goes out when the days of the goal are over. */
  private static Optional<String> tooLate(Goal goal, Map<StepId, Double> sentAfter) {
    if (!(goal.what() instanceof Condition.AboutEmail)) {
      return Optional.empty();
    }
    return Impossible.asksAbout(goal.what()).stream()
        .filter(sentAfter::containsKey)
        .filter(email -> sentAfter.get(email) >= goal.withinDays() * DAY)
        .map(
            email ->
                "that email goes out %s after they come in at the earliest, and the goal ends after %d days"
                    .formatted(Findings.days(sentAfter.get(email) / DAY), goal.withinDays()))
        .findFirst();
  }
}
