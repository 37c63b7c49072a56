package org.opentrellis.core.journey;

import java.util.List;

/**
 * One way through a split test.
 *
 * @param id unique in the journey
 * @param percent of the people who take it; all arms make 100
 * @param steps may be empty
 */
public record SplitArm(StepId id, double percent, List<Step> steps) {
  public SplitArm {
    Text.percent(percent);
    steps = List.copyOf(steps);
  }
}
