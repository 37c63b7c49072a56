package org.opentrellis.core.export;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.measure.Arrival;
import org.opentrellis.core.measure.EmailMeasures;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.StepMeasures;

/**
 * The steps of a run as CSV, a line each; counts, and hours since entry. {@code unsubscribed} is
 * who left at the step for that, {@code unsubscribedByIt} who did so because of the message.
 */
public final class StepCsv {
  private final Csv csv =
      new Csv(
          "journey",
          "id",
          "kind",
          "people",
          "entered",
          "sent",
          "delivered",
          "opened",
          "openedByPeople",
          "clicked",
          "buyers",
          "skipped",
          "held",
          "unsubscribed",
          "left",
          "waiting",
          "finished",
          "goal",
          "medianHours",
          "unsubscribedByIt",
          "quarterHours",
          "threeQuarterHours",
          "medianErrorHours");

  /**
   * @param expanded a journey with the steps of its strands in place
   */
  public StepCsv add(Journey expanded, RunMeasures measures) {
    List<Step> steps = expanded.steps().toList();
    for (int i = 0; i < steps.size(); i++) {
      add(expanded.name(), steps.get(i), measures.steps().get(i), measures.people());
    }
    return this;
  }

  private void add(String journey, Step step, StepMeasures of, long people) {
    EmailMeasures email = of.email();
    Arrival arrival = of.arrival();
    csv.line(
        journey,
        of.id(),
        kind(step),
        people,
        of.reach().count(),
        email == null ? null : email.delivered().of(),
        email == null ? null : email.delivered().count(),
        email == null ? null : email.opened().count(),
        email == null ? null : email.openedByPeople().count(),
        email == null ? null : email.clicked().count(),
        email == null ? null : email.buyers().count(),
        of.skipped(),
        of.held(),
        of.leftUnsubscribed(),
        of.left().count(),
        of.waiting(),
        of.finished(),
        of.leftGoal(),
        hours(arrival == null ? null : arrival.medianHours()),
        email == null ? null : email.unsubscribed().count(),
        hours(arrival == null ? null : arrival.quarterHours()),
        hours(arrival == null ? null : arrival.threeQuarterHours()),
        hours(arrival == null ? null : arrival.medianErrorHours()));
  }

  private static @Nullable Object hours(@Nullable Double value) {
    return value;
  }

  private static String kind(Step step) {
    String kind = step.getClass().getSimpleName();
    return Character.toLowerCase(kind.charAt(0)) + kind.substring(1);
  }

  @Override
  public String toString() {
    return csv.toString();
  }
}
