package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.DayTally;
import org.opentrellis.core.dryrun.JourneyTally;

/**
 * What had happened by each day since entry.
 *
 * @param goal the goal met; null for a journey without one
 * @param unsubscribed unsubscribed, inside the journey or after it
 * @param emails emails received so far by each who entered, on average, by the end of each day
 *     since entry; the first is day 0, with none
 */
public record RunCurves(@Nullable Curve goal, Curve unsubscribed, List<Double> emails) {

  public static RunCurves of(JourneyTally tally) {
    DayTally days = tally.days();
    return new RunCurves(
        Curve.ofGoal(days, tally.program().goal().isPresent()),
        Curve.ofUnsubscribes(days),
        emails(days, tally.entered()));
  }

  private static List<Double> emails(DayTally days, long entered) {
    List<Double> mean = new ArrayList<>();
    if (entered == 0) {
      return mean;
    }
    long[] emails = days.emails();
    long sum = 0;
    mean.add(0.0);
    for (int day = 0; day < emails.length - 1; day++) {
      sum += emails[day];
      mean.add((double) sum / entered);
    }
    return mean;
  }
}
