package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
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
    context.expanded().steps().forEach(step -> add(step, findings));
    return findings;
  }

  private static void add(Step step, List<Finding> findings) {
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
        } else if (impossible(arm.condition())) {
          findings.add(
              Findings.error(
                  CODE, arm.id(), "Nobody takes this arm: it asks for a contradiction."));
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

  /** Whether all of its parts are asked for, one of them both to hold and not to. */
  private static boolean impossible(Condition condition) {
    if (!(condition instanceof Condition.All)) {
      return false;
    }
    return condition.parts().stream()
        .filter(Condition.None.class::isInstance)
        .flatMap(none -> none.parts().stream())
        .anyMatch(condition.parts()::contains);
  }
}
