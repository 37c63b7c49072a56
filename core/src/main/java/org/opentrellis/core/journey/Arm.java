package org.opentrellis.core.journey;

import java.util.List;

/**
 * One way out of a branch.
 *
 * @param id unique in the journey
 * @param condition who takes it; the last arm of a branch takes everyone else, see {@link Branch}
 * @param steps what they go through before they go on behind the branch; may be empty
 */
public record Arm(StepId id, Condition condition, List<Step> steps) {
  /** The condition of an arm that takes everyone: a conjunction of nothing. */
  public static final Condition EVERYONE = new Condition.All(List.of());

  public Arm {
    steps = List.copyOf(steps);
  }
}
