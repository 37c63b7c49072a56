package org.opentrellis.core.journey;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Copies of a journey with something changed. */
public final class StepEdits {
  private StepEdits() {}

  /** The journey with one step replaced, wherever it stands. */
  public static Journey replace(Journey journey, StepId id, UnaryOperator<Step> change) {
    return new Journey(
        journey.name(),
        journey.purpose(),
        journey.state(),
        journey.triggers(),
        journey.entryFilter(),
        journey.reEntry(),
        journey.goal(),
        replace(journey.body(), id, change));
  }

  /** The journey with another goal. */
  public static Journey withGoal(Journey journey, Goal goal) {
    return new Journey(
        journey.name(),
        journey.purpose(),
        journey.state(),
        journey.triggers(),
        journey.entryFilter(),
        journey.reEntry(),
        Optional.of(goal),
        journey.body());
  }

  private static List<Step> replace(List<Step> steps, StepId id, UnaryOperator<Step> change) {
    return steps.stream()
        .map(step -> step.id().equals(id) ? change.apply(step) : inside(step, id, change))
        .toList();
  }

  private static Step inside(Step step, StepId id, UnaryOperator<Step> change) {
    if (!(step instanceof Step.Branch branch)) {
      return step;
    }
    UnaryOperator<Arm> inArm =
        arm -> new Arm(arm.id(), arm.condition(), replace(arm.steps(), id, change));
    return new Step.Branch(
        branch.id(),
        branch.waitUpTo(),
        branch.arms().stream().map(inArm).toList(),
        inArm.apply(branch.otherwise()));
  }
}
