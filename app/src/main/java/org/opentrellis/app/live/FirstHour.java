package org.opentrellis.app.live;

import java.util.List;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.WaitRule;

/** Whether a journey mails whoever comes in, before they have waited for more than an hour. */
final class FirstHour {
  private FirstHour() {}

  static boolean mails(List<Step> body) {
    return body.stream()
        .takeWhile(step -> !(step instanceof Step.Finish || isLong(step)))
        .anyMatch(Step.SendEmail.class::isInstance);
  }

  private static boolean isLong(Step step) {
    return step instanceof Step.Wait wait
        && !(wait.rule() instanceof WaitRule.For rule
            && rule.thenUntil().isEmpty()
            && rule.amount().count() * rule.amount().unit().nominalSeconds()
                <= TimeUnit.HOURS.nominalSeconds());
  }
}
