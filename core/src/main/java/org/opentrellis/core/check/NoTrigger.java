package org.opentrellis.core.check;

import java.util.List;

/** Nobody gets anything if nothing brings them in: the plan that was never connected. */
final class NoTrigger implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    return context.journey().triggers().isEmpty()
        ? List.of(
            Findings.error(
                "no-trigger",
                "Nothing brings people in. Say which list they join or what else starts it."))
        : List.of();
  }
}
