package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.journey.Way;

/** Waits for a day of the journey that is over when people get there: they do not wait at all. */
final class DayIsPast implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    look(context.expanded().body(), -1, findings);
    return findings;
  }

  /**
   * @param day that has surely begun when people get to the first of the steps; -1 if none has been
   *     waited for
   * @return the same behind the last
   */
  private static int look(List<Step> steps, int day, List<Finding> findings) {
    int begun = day;
    for (Step step : steps) {
      for (Way way : step.ways()) {
        look(way.steps(), begun, findings);
      }
      if (step instanceof Step.Wait wait && wait.rule() instanceof WaitRule.UntilDay until) {
        if (until.day() < begun) {
          findings.add(
              Findings.warning(
                  "day-is-past",
                  step.id(),
                  "Nobody waits here: day %d is past, since day %d was waited for above. What follows goes out at once."
                      .formatted(until.day(), begun)));
        }
        begun = Math.max(begun, until.day());
      }
    }
    return begun;
  }
}
