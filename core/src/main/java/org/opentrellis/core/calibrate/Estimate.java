package org.opentrellis.core.calibrate;

import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.Measured;
import org.opentrellis.core.problem.Refused;

/**
 * A value fitted to what happened, with its 95% interval.
 *
 * @param count of how many it was measured
 */
public record Estimate(double value, double low, double high, long count) {

  /**
   * @throws Refused if the interval has no ends: the history fits many values equally well
   */
  public Estimate {
    if (!Double.isFinite(value) || !Double.isFinite(low) || !Double.isFinite(high)) {
      throw new Refused(
          "cannot-be-measured",
          "the history fits many values equally well, so that nothing can be measured; it may be that everybody opened everything, that all opened at one instant, or that rows stand twice");
    }
  }

  public boolean contains(double other) {
    return low <= other && other <= high;
  }

  Estimate times(double factor) {
    return new Estimate(value * factor, low * factor, high * factor, count);
  }

  /** As an assumption that says where it comes from. */
  public Assumed measured() {
    return Assumed.measured(value, new Measured(count, low, high));
  }
}
