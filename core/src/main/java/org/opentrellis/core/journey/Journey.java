package org.opentrellis.core.journey;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A journey: who comes in, what happens to them, and what for. A tree of steps, so it always ends.
 *
 * @param name not blank, at most 80 characters
 * @param triggers what brings people in; none while it is being planned
 * @param entryFilter who of them may enter; tags and lists only
 * @param reEntry whether they may come again
 * @param goal what it is for, if that is said
 * @param body the steps, in order
 */
public record Journey(
    String name,
    Purpose purpose,
    JourneyState state,
    List<Trigger> triggers,
    Optional<Condition> entryFilter,
    ReEntry reEntry,
    Optional<Goal> goal,
    List<Step> body) {
  public Journey {
    name = Text.named("a journey's name", name, 80);
    triggers = List.copyOf(triggers);
    body = List.copyOf(body);
    Set<StepId> seen = new HashSet<>();
    body.stream()
        .flatMap(Step::all)
        .flatMap(Journey::idsOf)
        .forEach(
            id -> {
              if (!seen.add(id)) {
                throw new IllegalArgumentException("the id " + id + " is used twice");
              }
            });
  }

  /** Every step, in the order of the run sheet. */
  public Stream<Step> steps() {
    return body.stream().flatMap(Step::all);
  }

  /** The emails, in the order of the run sheet. */
  public List<Step.SendEmail> emails() {
    return steps()
        .filter(Step.SendEmail.class::isInstance)
        .map(Step.SendEmail.class::cast)
        .toList();
  }

  private static Stream<StepId> idsOf(Step step) {
    return step instanceof Step.Branch branch
        ? Stream.concat(Stream.of(branch.id()), branch.allArms().stream().map(Arm::id))
        : Stream.of(step.id());
  }
}
