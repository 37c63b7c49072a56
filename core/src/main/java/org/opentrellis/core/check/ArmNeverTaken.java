package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;

/** An arm that nobody can take: an earlier one takes them all, or its share is nothing. */
final class ArmNeverTaken implements Check {
  private static final String CODE = "arm-never-taken";

  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    Impossible impossible = new Impossible(context);
    context.expanded().steps().forEach(step -> add(step, impossible, findings));
    return findings;
  }

  private static void add(Step step, Impossible impossible, List<Finding> findings) {
    if (step instanceof Step.Branch branch) {
      for (int i = 0; i < branch.arms().size(); i++) {
        Arm arm = branch.arms().get(i);
        boolean taken =
            branch.arms().subList(0, i).stream()
                .anyMatch(earlier -> covers(earlier.condition(), arm.condition()));
        if (taken) {
          findings.add(
              Findings.error(
                  CODE, arm.id(), "Nobody takes this arm: an arm above takes everyone who would."));
        } else {
          ofCondition(arm, impossible).ifPresent(findings::add);
        }
      }
    } else if (step instanceof Step.SplitTest split) {
      for (SplitArm arm : split.arms()) {
        if (arm.percent() == 0) {
          findings.add(Findings.error(CODE, arm.id(), "Nobody takes this arm: its share is 0%."));
        }
      }
    }
  }

  /** Opens that nobody records are told of where they would be recorded. */
  private static Optional<Finding> ofCondition(Arm arm, Impossible impossible) {
    Condition asked = arm.condition();
    String sentence = "Nobody takes this arm: %s.";
    if (Impossible.contradicts(asked)) {
      return Optional.of(
          Findings.error(CODE, arm.id(), sentence.formatted(Impossible.CONTRADICTION)));
    }
    return asked.all().anyMatch(Condition.Opened.class::isInstance)
        ? Optional.empty()
        : impossible
            .why(asked)
            .map(why -> Findings.warning(CODE, arm.id(), sentence.formatted(why)));
  }

  /** Whether everyone for whom the second holds is one for whom the first does. */
  static boolean covers(Condition first, Condition second) {
    if (first.equals(second)) {
      return true;
    }
    if (first instanceof Condition.Any) {
      return first.parts().stream().anyMatch(part -> covers(part, second));
    }
    if (second instanceof Condition.All) {
      return second.parts().stream().anyMatch(part -> covers(first, part));
    }
    return first instanceof Condition.Opened wide
        && second instanceof Condition.Opened narrow
        && wide.email().equals(narrow.email())
        && !wide.peopleOnly()
        && wide.within().isEmpty();
  }
}
