package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Trigger;

/** Hands people over to a journey that does not say it takes any. */
final class NotHandedOver implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    List<Journey> all = context.all().toList();
    for (Step.HandOver over : context.expanded().only(Step.HandOver.class)) {
      all.stream()
          .filter(journey -> journey.journeyName().equals(over.journey()))
          .filter(
              journey ->
                  journey.triggers().stream().noneMatch(Trigger.HandedOver.class::isInstance))
          .forEach(
              journey ->
                  findings.add(
                      Findings.warning(
                          "not-handed-over",
                          over.id(),
                          ("\u201c%s\u201d does not start when someone is handed over. They enter all the "
                                  + "same, but nobody reads it there; add that trigger.")
                              .formatted(journey.name()))));
    }
    return findings;
  }
}
