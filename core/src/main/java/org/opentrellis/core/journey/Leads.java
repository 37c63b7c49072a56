package org.opentrellis.core.journey;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * How a journey may bring people into others before any wait: by handing over, or by a tag or list
 * that others start from. Only a wait for an amount of time is sure to take any.
 *
 * @param journey whose
 * @param startedBy the tags and lists that start it
 * @param handsTo the journeys it hands over to at the moment that people come in
 * @param sets the tags and lists it sets then
 */
public record Leads(
    JourneyName journey, LabelSet startedBy, Set<JourneyName> handsTo, LabelSet sets) {
  public Leads {
    handsTo = Set.copyOf(handsTo);
  }

  /**
   * @param journey with the steps of its strands in place
   */
  public static Leads of(Journey journey) {
    Set<Name> atOnce = new HashSet<>();
    collect(journey.body(), atOnce);
    for (LeaveRule rule : journey.leaveWhen()) {
      if (mayHoldOnEntry(rule.when())) {
        rule.into().ifPresent(atOnce::add);
      }
    }
    return of(journey, atOnce);
  }

  /** Whether people may come in of whom it is true already; what happens afterwards is not. */
  private static boolean mayHoldOnEntry(Condition condition) {
    return switch (condition) {
      case Condition.AboutEmail mail -> false;
      case Condition.Bought bought -> bought.within().isPresent();
      case Condition.Happened happened -> happened.within().isPresent();
      case Condition.All all -> all.parts().stream().allMatch(Leads::mayHoldOnEntry);
      case Condition.Any any -> any.parts().stream().anyMatch(Leads::mayHoldOnEntry);
      case Condition.None none -> true;
      case Condition.HasTag has -> true;
      case Condition.HadTag had -> true;
      case Condition.OnList on -> true;
      case Condition.InSegment in -> true;
      case Condition.Field field -> true;
      case Condition.InCart in -> true;
      case Condition.CameByForm by -> true;
      case Condition.CameByJourney by -> true;
      case Condition.CameByList by -> true;
      case Condition.CameByOrder by -> true;
      case Condition.IsNow now -> true;
    };
  }

  private static Leads of(Journey journey, Set<Name> setOff) {
    return new Leads(
        journey.journeyName(),
        LabelSet.of(
            journey.triggers().stream().flatMap(trigger -> Labels.waitedFor(trigger).stream())),
        setOff.stream()
            .filter(JourneyName.class::isInstance)
            .map(JourneyName.class::cast)
            .collect(Collectors.toSet()),
        LabelSet.of(setOff.stream()));
  }

  /**
   * Collects where people are led at the moment they come in.
   *
   * @return whether somebody may come out at the end of the steps without having waited
   */
  private static boolean collect(List<Step> steps, Set<Name> to) {
    for (Step step : steps) {
      if (step instanceof Step.Wait wait && wait.rule() instanceof WaitRule.For
          || step instanceof Step.Finish) {
        return false;
      }
      to.addAll(setOffBy(step));
      if (step instanceof Step.HandOver over && over.thenFinish()) {
        return false;
      }
      boolean through = step.ways().isEmpty();
      for (Way way : step.ways()) {
        through |= collect(way.steps(), to);
      }
      if (!through) {
        return false;
      }
    }
    return true;
  }

  /** Whether a journey brings people into another, at whatever time. */
  public static boolean leads(Journey from, Journey to) {
    Set<Name> setOff =
        Stream.concat(
                from.leaveWhen().stream().flatMap(rule -> rule.into().stream()),
                from.steps().flatMap(step -> setOffBy(step).stream()))
            .collect(Collectors.toSet());
    return of(to, setOff).to(of(to, Set.of()));
  }

  /** The journey that a step hands over to, or the tags and lists that it sets. */
  private static Set<Name> setOffBy(Step step) {
    return switch (step) {
      case Step.HandOver over -> Set.of(over.journey());
      case Step.Change change ->
          change.changes().stream()
              .flatMap(one -> Labels.setBy(one).stream())
              .collect(Collectors.toSet());
      case Step.Send send -> Set.of();
      case Step.Wait wait -> Set.of();
      case Step.Branch branch -> Set.of();
      case Step.SplitTest split -> Set.of();
      case Step.Include include -> Set.of();
      case Step.Notify notify -> Set.of();
      case Step.Finish finish -> Set.of();
    };
  }

  /** Whether it brings people into another at once. */
  public boolean to(Leads other) {
    return handsTo.contains(other.journey) || !sets.isApartFrom(other.startedBy);
  }

  /** Whether it may bring people into any other at once. */
  boolean anywhere() {
    return !handsTo.isEmpty() || sets.names().findAny().isPresent();
  }
}
