package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Step;

/** More emails to one person in a week than most people bear. */
final class TooManyInAWeek implements Check {
  /** Common practice, no source. */
  private static final int ENOUGH = 5;

  private static final FrequencyGuard USUAL =
      new FrequencyGuard(4, 7, FrequencyGuard.Then.HOLD, false);

  @Override
  public List<Finding> look(CheckContext context) {
    if (context.journey().frequencyGuard().isPresent()) {
      return List.of();
    }
    List<Finding> findings = new ArrayList<>();
    SentBefore.walk(
        context.expanded(),
        (step, before) -> {
          long count = before.emailsInAWeek() + 1;
          if (step instanceof Step.SendEmail && count > ENOUGH && findings.isEmpty()) {
            findings.add(finding(step, count, context));
          }
        });
    return findings;
  }

  private static Finding finding(Step step, long count, CheckContext context) {
    return Findings.fixedBy(
        Findings.warning(
            "too-many-in-a-week",
            step.id(),
            "Up to here somebody may get %d emails in seven days; people tire of more than %d."
                .formatted(count, ENOUGH)),
        "At most 4 emails in 7 days, the rest waits",
        context.journey().edit().frequencyGuard(Optional.of(USUAL)).done());
  }
}
