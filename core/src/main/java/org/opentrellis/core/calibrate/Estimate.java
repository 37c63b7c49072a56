package org.opentrellis.core.calibrate;

import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.Measured;

/**
 * A value fitted to what happened, with its 95% interval.
 *
 * @param count of how many it was measured
 */
public record Estimate(double value, double low, double high, long count) {

  public boolean contains(double other) {
    return low <= other && other <= high;
  }

  /** As an assumption that says where it comes from. */
  public Assumed measured() {
    return Assumed.measured(value, new Measured(count, low, high));
  }
}
