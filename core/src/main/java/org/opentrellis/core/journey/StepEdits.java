package org.opentrellis.core.journey;

import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Copies of a journey with steps changed. */
public final class StepEdits {
  private StepEdits() {}

  /** The journey with one step replaced by others, or by none, wherever it stands. */
  public static Journey replace(
      Journey journey, StepId id, java.util.function.Function<Step, List<Step>> change) {
    return journey.withBody(replaced(journey.body(), id, change));
  }

  /** The journey with one step changed. */
  public static Journey change(Journey journey, StepId id, UnaryOperator<Step> change) {
    return replace(journey, id, step -> List.of(change.apply(step)));
  }

  private static List<Step> replaced(
      List<Step> steps, StepId id, java.util.function.Function<Step, List<Step>> change) {
    return steps.stream()
        .flatMap(
            step ->
                step.id().equals(id)
                    ? change.apply(step).stream()
                    : Stream.of(
                        step.withWays(
                            step.ways().stream()
                                .map(way -> replaced(way.steps(), id, change))
                                .toList())))
        .toList();
  }
}
