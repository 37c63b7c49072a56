package org.opentrellis.core.stats;

import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How sure an interval is to be.
 *
 * @param level in (0, 1), such as 0.95
 */
public record Confidence(double level) {
  public static final Confidence NINETY_FIVE = new Confidence(0.95);

  public Confidence {
    if (!(level > 0 && level < 1)) {
      throw new IllegalArgumentException("a confidence level must be inside 0 to 1, not " + level);
    }
  }

  /** The normal quantile that leaves half of the rest on each side; 1.959964 at 95%. */
  public double z() {
    return NormalDistribution.of(0, 1).inverseCumulativeProbability(0.5 + level / 2);
  }
}
