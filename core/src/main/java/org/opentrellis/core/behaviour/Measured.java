package org.opentrellis.core.behaviour;

import org.opentrellis.core.problem.Refused;

/**
 * How sure a measured value is.
 *
 * @param count of how many it was measured
 * @param low its 95% interval's lower end
 * @param high the upper end
 */
public record Measured(long count, double low, double high) {
  public Measured {
    if (!(low <= high) || count < 0) {
      throw new Refused(
          "an interval must go up, and a count must not be negative: " + low + " to " + high);
    }
  }
}
