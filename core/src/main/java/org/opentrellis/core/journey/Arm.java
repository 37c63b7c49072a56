package org.opentrellis.core.journey;

import java.util.List;

/**
 * One way out of a branch.
 *
 * @param id unique in the journey
 * @param condition who takes it
 * @param steps what they go through before they go on behind the branch; may be empty
 */
public record Arm(StepId id, Condition condition, List<Step> steps) {
  public Arm {
    steps = List.copyOf(steps);
  }
}
