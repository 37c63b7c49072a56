package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Step;

/** Hands people over to a journey that does not say it takes any. */
final class NotHandedOver implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    for (Step.HandOver over : context.expanded().only(Step.HandOver.class)) {
      context
          .all()
          .filter(one -> one.name().equals(over.journey()) && !one.takesHandOvers())
          .forEach(
              one ->
                  findings.add(
                      Findings.warning(
                          "not-handed-over",
                          over.id(),
                          ("\u201c%s\u201d does not start when someone is handed over. They enter all the "
                                  + "same, but nobody reads it there; add that trigger.")
                              .formatted(one.name()))));
    }
    return findings;
  }
}
