package org.opentrellis.core.search;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Way;

/** What stands beside a step in the sequence that it belongs to. */
final class Neighbours {
  private Neighbours() {}

  /** The sequence that a step stands in; empty if the journey does not have it. */
  static List<Step> around(Journey journey, StepId id) {
    return Stream.concat(
            Stream.of(journey.body()),
            journey.steps().flatMap(step -> step.ways().stream()).map(Way::steps))
        .filter(steps -> place(steps, id) >= 0)
        .findFirst()
        .orElse(List.of());
  }

  static int place(List<Step> steps, StepId id) {
    for (int at = 0; at < steps.size(); at++) {
      if (steps.get(at).id().equals(id)) {
        return at;
      }
    }
    return -1;
  }

  /** The next email or text behind a step in its sequence, if nothing parts people in between. */
  static Optional<Step.Send> sendBehind(Journey journey, StepId id) {
    List<Step> steps = around(journey, id);
    for (int at = place(steps, id) + 1; at > 0 && at < steps.size(); at++) {
      if (steps.get(at) instanceof Step.Send send) {
        return Optional.of(send);
      }
      if (!steps.get(at).ways().isEmpty()) {
        return Optional.empty();
      }
    }
    return Optional.empty();
  }

  /** The same of an email. */
  static Optional<Step.SendEmail> emailBehind(Journey journey, StepId id) {
    return sendBehind(journey, id)
        .filter(Step.SendEmail.class::isInstance)
        .map(Step.SendEmail.class::cast);
  }

  /** The wait right before a step, if one is there. */
  static Optional<Step.Wait> waitBefore(Journey journey, StepId id) {
    List<Step> steps = around(journey, id);
    int at = place(steps, id);
    return at > 0 && steps.get(at - 1) instanceof Step.Wait wait
        ? Optional.of(wait)
        : Optional.empty();
  }
}
