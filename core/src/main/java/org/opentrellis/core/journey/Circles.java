package org.opentrellis.core.journey;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Finds journeys that lead people round in a circle without a wait: by handing over, or by a tag or
 * list that starts another. Only a wait for an amount of time is sure to take any.
 */
public final class Circles {
  private Circles() {}

  /**
   * A circle, if there is one.
   *
   * @param journeys with the steps of their strands in place
   * @return the journeys on it in order, the first again at the end
   */
  public static Optional<List<JourneyName>> find(List<Journey> journeys) {
    Map<JourneyName, Set<JourneyName>> leads = new LinkedHashMap<>();
    for (Journey journey : journeys) {
      Set<JourneyName> to = new LinkedHashSet<>();
      atOnce(journey.body(), journey, journeys, to);
      leads.put(journey.journeyName(), to);
    }
    for (JourneyName start : leads.keySet()) {
      List<JourneyName> path = new ArrayList<>();
      if (returns(start, leads, path)) {
        return Optional.of(path);
      }
    }
    return Optional.empty();
  }

  private static boolean returns(
      JourneyName at, Map<JourneyName, Set<JourneyName>> leads, List<JourneyName> path) {
    int before = path.indexOf(at);
    path.add(at);
    if (before >= 0) {
      path.subList(0, before).clear();
      return true;
    }
    for (JourneyName next : leads.getOrDefault(at, Set.of())) {
      if (returns(next, leads, path)) {
        return true;
      }
    }
    path.remove(path.size() - 1);
    return false;
  }

  /**
   * Collects where people are led at the moment they come in.
   *
   * @return whether somebody may come out at the end of the steps without having waited
   */
  private static boolean atOnce(
      List<Step> steps, Journey journey, List<Journey> journeys, Set<JourneyName> to) {
    for (Step step : steps) {
      if (step instanceof Step.Wait wait && wait.rule() instanceof WaitRule.For
          || step instanceof Step.Finish) {
        return false;
      }
      journeys.stream()
          .filter(other -> leads(step, other))
          .map(Journey::journeyName)
          .forEach(to::add);
      if (step instanceof Step.HandOver over && over.thenFinish()) {
        return false;
      }
      boolean through = step.ways().isEmpty();
      for (Way way : step.ways()) {
        through |= atOnce(way.steps(), journey, journeys, to);
      }
      if (!through) {
        return false;
      }
    }
    return true;
  }

  /** Whether a step brings people into a journey. */
  public static boolean leads(Step step, Journey to) {
    return switch (step) {
      case Step.HandOver over -> over.journey().equals(to.journeyName());
      case Step.Change change ->
          change.changes().stream()
              .flatMap(one -> Labels.setBy(one).stream())
              .anyMatch(set -> isWaitedFor(set, to));
      case Step.Send send -> false;
      case Step.Wait wait -> false;
      case Step.Branch branch -> false;
      case Step.SplitTest split -> false;
      case Step.Include include -> false;
      case Step.Notify notify -> false;
      case Step.Finish finish -> false;
    };
  }

  private static boolean isWaitedFor(Name label, Journey by) {
    return by.triggers().stream()
        .flatMap(trigger -> Labels.waitedFor(trigger).stream())
        .anyMatch(label::equals);
  }
}
