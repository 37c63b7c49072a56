package org.opentrellis.core.measure;

import java.util.Comparator;
import java.util.List;

/** The emails and texts of a run in the order in which people get them, for lining runs up. */
public final class EmailOrder {
  private EmailOrder() {}

  /** By median time since entry, then by the run sheet; those that nobody got come last. */
  public static List<StepMeasures> of(RunMeasures run) {
    return run.steps().stream()
        .filter(step -> step.email() != null)
        .sorted(Comparator.comparingDouble(EmailOrder::hours))
        .toList();
  }

  private static double hours(StepMeasures step) {
    return step.arrival() == null ? Double.POSITIVE_INFINITY : step.arrival().medianHours();
  }
}
