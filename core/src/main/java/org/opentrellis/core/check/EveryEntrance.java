package org.opentrellis.core.check;

import java.util.List;
import org.opentrellis.core.journey.Trigger;

/** A trigger that lets in people from every entrance, not only from the one that was meant. */
final class EveryEntrance implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    boolean anyForm =
        context.journey().triggers().stream()
            .anyMatch(t -> t instanceof Trigger.SubmitsForm form && form.form().isEmpty());
    return anyForm
        ? List.of(
            Findings.warning(
                "every-entrance",
                "Any form starts this journey, so people come in from every entrance. Name the form "
                    + "that is meant."))
        : List.of();
  }
}
