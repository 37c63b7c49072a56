package org.opentrellis.core.journey;

import java.util.List;

/**
 * The way out of a branch for everyone whom no arm takes.
 *
 * @param id unique in the journey
 * @param steps may be empty
 */
public record Otherwise(StepId id, List<Step> steps) {
  public Otherwise {
    steps = List.copyOf(steps);
  }
}
