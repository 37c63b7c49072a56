package org.opentrellis.core.journey;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.core.problem.Refused;

/**
 * Puts the steps of strands in the place where they are included. An include step stays, so that
 * people can be counted there; behind it come the strand's steps, their ids led by the include's:
 * {@code spring/m1}.
 */
public final class Strands {
  private final Catalogue catalogue;
  private final Deque<StrandId> inside = new ArrayDeque<>();

  private Strands(Catalogue catalogue) {
    this.catalogue = catalogue;
  }

  /**
   * The journey with the steps of its strands; one that has them already stays as it is. An unknown
   * strand has no steps; a check says so.
   *
   * @throws Refused if a strand includes itself
   */
  public static Journey expand(Journey journey, Catalogue catalogue) {
    boolean done = journey.steps().anyMatch(step -> step.id().value().indexOf('/') >= 0);
    return done || journey.only(Step.Include.class).isEmpty()
        ? journey
        : journey.withBody(new Strands(catalogue).expanded(journey.body()));
  }

  /**
   * A circle of strands that include each other, if there is one.
   *
   * @return its strands in order, the first again at the end
   */
  public static Optional<List<StrandId>> circle(Catalogue catalogue) {
    for (Strand strand : catalogue.strands()) {
      List<StrandId> path = new ArrayList<>();
      if (returns(strand.id(), catalogue, path)) {
        return Optional.of(path);
      }
    }
    return Optional.empty();
  }

  private static boolean returns(StrandId id, Catalogue catalogue, List<StrandId> path) {
    int before = path.indexOf(id);
    path.add(id);
    if (before >= 0) {
      path.subList(0, before).clear();
      return true;
    }
    for (StrandId next : includedBy(id, catalogue)) {
      if (returns(next, catalogue, path)) {
        return true;
      }
    }
    path.remove(path.size() - 1);
    return false;
  }

  private static List<StrandId> includedBy(StrandId id, Catalogue catalogue) {
    return catalogue.strand(id).stream()
        .flatMap(strand -> strand.body().stream())
        .flatMap(Step::all)
        .filter(Step.Include.class::isInstance)
        .map(step -> ((Step.Include) step).strand())
        .distinct()
        .toList();
  }

  private List<Step> expanded(List<Step> steps) {
    return steps.stream().flatMap(this::expanded).toList();
  }

  private Stream<Step> expanded(Step step) {
    if (!(step instanceof Step.Include include)) {
      return Stream.of(
          step.withWays(step.ways().stream().map(way -> expanded(way.steps())).toList()));
    }
    Optional<Strand> strand = catalogue.strand(include.strand());
    if (strand.isEmpty()) {
      return Stream.of(include);
    }
    if (inside.contains(include.strand())) {
      throw new Refused(
          "strand-circle",
          "strand %s includes itself: %s"
              .formatted(
                  include.strand(),
                  inside.stream().map(StrandId::value).collect(Collectors.joining(" in "))));
    }
    inside.push(include.strand());
    List<Step> body = expanded(strand.get().body());
    inside.pop();
    UnaryOperator<StepId> prefix = id -> new StepId(include.id() + "/" + id);
    Renaming renaming = new Renaming(prefix);
    return Stream.concat(Stream.of(include), body.stream().map(renaming::step));
  }
}
