package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.WaitRule;

/** Two emails within hours: the second comes before most have seen the first. */
final class EmailsTooClose implements Check {
  /** Common practice, no source. */
  private static final double FEW_HOURS = 4;

  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    SentBefore.walk(
        context.expanded(),
        (step, before) -> {
          if (step instanceof Step.SendEmail) {
            before.since().entrySet().stream()
                .filter(sent -> sent.getValue() < FEW_HOURS && isEmail(sent.getKey(), context))
                .min(Map.Entry.comparingByValue())
                .ifPresent(sent -> findings.add(finding(step, sent.getValue(), context)));
          }
        });
    return findings;
  }

  private static boolean isEmail(StepId send, CheckContext context) {
    return context.expanded().emails().stream().anyMatch(email -> email.id().equals(send));
  }

  private static Finding finding(Step step, double hours, CheckContext context) {
    String when = hours == 0 ? "right after another one" : Findings.hours(hours) + " after another";
    Finding finding =
        Findings.warning(
            "emails-too-close",
            step.id(),
            "This email may go out %s, before most have seen that.".formatted(when));
    return context.own(step)
        ? Findings.fixedBy(finding, "Wait 1 day before it", waitingBefore(step, context.journey()))
        : finding;
  }

  private static Journey waitingBefore(Step step, Journey journey) {
    Step wait = new Step.Wait(freeId(journey), WaitRule.of(1, TimeUnit.DAYS));
    return StepEdits.replace(journey, step.id(), send -> List.of(wait, send));
  }

  static StepId freeId(Journey journey) {
    List<String> taken = journey.steps().flatMap(Step::ids).map(StepId::value).toList();
    int number = 1;
    while (taken.contains("w" + number)) {
      number++;
    }
    return new StepId("w" + number);
  }
}
