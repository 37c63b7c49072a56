package org.opentrellis.core.check;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.Wait;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;

/**
 * Which emails may have been sent before each branch, and how long ago at the least, in nominal
 * hours. A wait for a time of day counts with its mean, half of the time between two such moments.
 */
final class SentBefore {
  private final BiConsumer<Step.Branch, Map<StepId, Double>> atBranch;

  private SentBefore(BiConsumer<Step.Branch, Map<StepId, Double>> atBranch) {
    this.atBranch = atBranch;
  }

  /**
   * @param atBranch told of each branch the emails that may have been sent, with the hours since
   */
  static void walk(Journey journey, BiConsumer<Step.Branch, Map<StepId, Double>> atBranch) {
    new SentBefore(atBranch).through(journey.body(), new HashMap<>());
  }

  /** Goes through a sequence; empty if nobody comes out at its end. */
  private Optional<Map<StepId, Double>> through(List<Step> steps, Map<StepId, Double> before) {
    Map<StepId, Double> sent = before;
    for (Step step : steps) {
      if (step instanceof Step.SendEmail send) {
        sent = new HashMap<>(sent);
        sent.put(send.id(), 0.0);
      } else if (step instanceof Step.Pause pause) {
        sent = later(sent, hours(pause.rule()));
      } else if (step instanceof Step.Branch branch) {
        atBranch.accept(branch, sent);
        Optional<Map<StepId, Double>> out = throughArms(branch, sent);
        if (out.isEmpty()) {
          return out;
        }
        sent = out.get();
      } else if (step instanceof Step.Finish) {
        return Optional.empty();
      }
    }
    return Optional.of(sent);
  }

  private Optional<Map<StepId, Double>> throughArms(Step.Branch branch, Map<StepId, Double> sent) {
    Map<StepId, Double> waited =
        later(sent, branch.waitUpTo().map(Amount::nominalHours).orElse(0.0));
    Map<StepId, Double> merged = new HashMap<>();
    boolean anyGoesOn = false;
    for (Arm arm : branch.allArms()) {
      boolean isOtherwise = arm == branch.otherwise();
      Optional<Map<StepId, Double>> out = through(arm.steps(), isOtherwise ? waited : sent);
      if (out.isPresent()) {
        anyGoesOn = true;
        out.get().forEach((email, hours) -> merged.merge(email, hours, Math::min));
      }
    }
    return anyGoesOn ? Optional.of(merged) : Optional.empty();
  }

  private static Map<StepId, Double> later(Map<StepId, Double> sent, double hours) {
    Map<StepId, Double> later = new HashMap<>();
    sent.forEach((email, since) -> later.put(email, since + hours));
    return later;
  }

  private static double hours(Wait wait) {
    if (wait instanceof Wait.For waits) {
      return waits.amount().nominalHours() + waits.thenUntil().map(SentBefore::mean).orElse(0.0);
    }
    return mean(((Wait.Until) wait).moment());
  }

  private static double mean(TimeOfDay moment) {
    return 7 * 24.0 / moment.days().size() / 2;
  }
}
