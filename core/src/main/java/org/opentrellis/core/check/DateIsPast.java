package org.opentrellis.core.check;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.WaitRule;

/** A fixed date that has gone by: last year's plan. */
final class DateIsPast implements Check {
  private static final String CODE = "date-is-past";

  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    for (Trigger trigger : context.journey().triggers()) {
      if (trigger instanceof Trigger.OnDate on && on.date().isBefore(context.today())) {
        findings.add(
            Findings.warning(
                CODE, "Everybody was to enter on %s, which is past.".formatted(on.date())));
      }
    }
    context
        .expanded()
        .steps()
        .forEach(
            step -> {
              LocalDate date = date(step);
              if (date != null && date.isBefore(context.today())) {
                findings.add(
                    Findings.warning(
                        CODE, step.id(), "This waits until %s, which is past.".formatted(date)));
              }
            });
    return findings;
  }

  private static @org.jspecify.annotations.Nullable LocalDate date(Step step) {
    return step instanceof Step.Wait wait && wait.rule() instanceof WaitRule.UntilDate until
        ? until.date()
        : null;
  }
}
