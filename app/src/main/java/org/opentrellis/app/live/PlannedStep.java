package org.opentrellis.app.live;

import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.live.Editions;

/** Finds a step in the plan that somebody goes through. */
final class PlannedStep {
  private PlannedStep() {}

  /**
   * @throws IllegalArgumentException if there is none
   */
  static Step of(Editions editions, JourneyName journey, int version, StepId step) {
    return editions.world(editions.newest()).version(journey, version).stream()
        .flatMap(program -> program.steps().stream())
        .filter(one -> one.id().equals(step))
        .findFirst()
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "no step %s in version %d of %s".formatted(step, version, journey)));
  }
}
