package org.opentrellis.core.check;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.problem.Severity;

/** Nobody gets anything if nothing brings them in: the plan that was never connected. */
final class NoTrigger implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    if (!context.journey().triggers().isEmpty()) {
      return List.of();
    }
    return List.of(
        new Finding(
            "no-trigger",
            Severity.ERROR,
            Optional.empty(),
            "Nothing brings people in. Say which list they join or which tag they get.",
            Optional.empty()));
  }
}
