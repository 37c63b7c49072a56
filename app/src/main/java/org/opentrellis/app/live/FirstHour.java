package org.opentrellis.app.live;

import java.util.List;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.WaitRule;

/** Whether a journey mails whoever comes in, before they have waited for more than an hour. */
final class FirstHour {
  private FirstHour() {}

  /** Some of those who come in, at least: whom a branch or a split test leads to an email, too. */
  static boolean mails(List<Step> body) {
    for (Step step : body) {
      if (step instanceof Step.SendEmail) {
        return true;
      }
      if (step instanceof Step.Finish || isLong(step)) {
        return false;
      }
      if (step instanceof Step.Parting parting
          && parting.ways().stream().anyMatch(way -> mails(way.steps()))) {
        return true;
      }
    }
    return false;
  }

  /** Whoever waits for a branch may be let on at any moment, so that is not long. */
  private static boolean isLong(Step step) {
    return step instanceof Step.Wait wait
        && !(wait.rule() instanceof WaitRule.For rule
            && rule.thenUntil().isEmpty()
            && rule.amount().count() * rule.amount().unit().nominalSeconds()
                <= TimeUnit.HOURS.nominalSeconds());
  }
}
