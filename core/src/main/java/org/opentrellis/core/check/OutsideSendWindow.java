package org.opentrellis.core.check;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.journey.Way;

/** A wait for a time of day that the send window then puts off: people get the mail later. */
final class OutsideSendWindow implements Check {
  private static final ZoneClock CLOCK = ZoneClock.around(ZoneOffset.UTC, Instant.EPOCH, 40);

  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    look(context.expanded().body(), context.journey().sendWindow(), findings);
    return findings;
  }

  private static void look(
      List<Step> steps, Optional<SendWindow> journeys, List<Finding> findings) {
    for (int i = 0; i < steps.size(); i++) {
      Step step = steps.get(i);
      for (Way way : step.ways()) {
        look(way.steps(), journeys, findings);
      }
      if (i + 1 < steps.size() && steps.get(i + 1) instanceof Step.Send send) {
        Optional<SendWindow> window = send.window().or(() -> journeys);
        Optional<TimeOfDay> moment = moment(step);
        if (window.isPresent() && moment.isPresent() && isOutside(moment.get(), window.get())) {
          findings.add(finding(send, moment.get(), window.get()));
        }
      }
    }
  }

  private static Finding finding(Step.Send send, TimeOfDay moment, SendWindow window) {
    return Findings.warning(
        "outside-send-window",
        send.id(),
        "The wait before ends at %s, outside the send window (%s): the message waits for "
                .formatted(moment.inWords(), window.inWords())
            + "the next opening.");
  }

  private static Optional<TimeOfDay> moment(Step step) {
    return step instanceof Step.Wait wait ? moment(wait.rule()) : Optional.empty();
  }

  private static Optional<TimeOfDay> moment(WaitRule rule) {
    return switch (rule) {
      case WaitRule.Until until -> Optional.of(until.moment());
      case WaitRule.For waits -> waits.thenUntil();
      case WaitRule.UntilDate until -> Optional.empty();
      case WaitRule.UntilDay until -> Optional.empty();
      case WaitRule.AroundDate around -> Optional.empty();
      case WaitRule.UntilNthWeekday until ->
          Optional.of(new TimeOfDay(until.at(), Set.of(until.weekday())));
      case WaitRule.UntilHappens until -> Optional.empty();
    };
  }

  /** Whether some moment of a week at which the wait may end is outside. */
  private static boolean isOutside(TimeOfDay moment, SendWindow window) {
    long at = moment.atOrAfter(0, CLOCK);
    while (at < 7L * ZoneClock.DAY) {
      if (window.atOrAfter(at, CLOCK) != at) {
        return true;
      }
      at = moment.atOrAfter(at + 1, CLOCK);
    }
    return false;
  }
}
