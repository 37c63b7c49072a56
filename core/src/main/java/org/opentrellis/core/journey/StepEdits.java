package org.opentrellis.core.journey;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Copies of a journey with steps changed. */
public final class StepEdits {
  /** Stands for the line above all steps. */
  public static final String BEGINNING = "journey";

  private StepEdits() {}

  /** The journey with one step replaced by others, or by none, wherever it stands. */
  public static Journey replace(Journey journey, StepId id, Function<Step, List<Step>> change) {
    return journey.withBody(replaced(journey.body(), id, change));
  }

  /**
   * The journey with steps put in.
   *
   * @param below a step, which they come after; an arm, which they come first in; {@code journey}
   *     for the beginning; anything else for the end of the body
   */
  public static Journey insert(Journey journey, String below, List<Step> some) {
    if (below.equals(BEGINNING)) {
      return journey.withBody(joined(some, journey.body()));
    }
    List<Step> body = inserted(journey.body(), below, some);
    return journey.withBody(body.equals(journey.body()) ? joined(journey.body(), some) : body);
  }

  private static List<Step> inserted(List<Step> steps, String below, List<Step> some) {
    List<Step> all = new ArrayList<>();
    for (Step step : steps) {
      List<List<Step>> ways = new ArrayList<>();
      for (Way way : step.ways()) {
        boolean first = way.id().value().equals(below);
        ways.add(first ? joined(some, way.steps()) : inserted(way.steps(), below, some));
      }
      all.add(step.withWays(ways));
      if (step.id().value().equals(below)) {
        all.addAll(some);
      }
    }
    return all;
  }

  private static List<Step> joined(List<Step> first, List<Step> second) {
    return Stream.concat(first.stream(), second.stream()).toList();
  }

  /** The journey without some steps, and without what is inside them. */
  public static Journey without(Journey journey, Set<StepId> gone) {
    return journey.withBody(without(journey.body(), gone));
  }

  private static List<Step> without(List<Step> steps, Set<StepId> gone) {
    return steps.stream()
        .filter(step -> !gone.contains(step.id()))
        .map(
            step ->
                step.withWays(step.ways().stream().map(way -> without(way.steps(), gone)).toList()))
        .toList();
  }

  /** The journey with one step changed. */
  public static Journey change(Journey journey, StepId id, UnaryOperator<Step> change) {
    return replace(journey, id, step -> List.of(change.apply(step)));
  }

  /** The journey with two steps in each other's place; neither may stand inside the other. */
  public static Journey exchange(Journey journey, Step one, Step other) {
    return journey.withBody(
        replaced(
            journey.body(),
            step ->
                step.id().equals(one.id())
                    ? Optional.of(List.of(other))
                    : step.id().equals(other.id()) ? Optional.of(List.of(one)) : Optional.empty()));
  }

  private static List<Step> replaced(
      List<Step> steps, StepId id, Function<Step, List<Step>> change) {
    return replaced(
        steps, step -> step.id().equals(id) ? Optional.of(change.apply(step)) : Optional.empty());
  }

  /**
   * @param change what stands for a step; empty to look inside it
   */
  private static List<Step> replaced(
      List<Step> steps, Function<Step, Optional<List<Step>>> change) {
    return steps.stream()
        .flatMap(
            step ->
                change
                    .apply(step)
                    .orElseGet(
                        () ->
                            List.of(
                                step.withWays(
                                    step.ways().stream()
                                        .map(way -> replaced(way.steps(), change))
                                        .toList())))
                    .stream())
        .toList();
  }
}
