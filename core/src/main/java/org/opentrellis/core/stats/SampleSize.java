package org.opentrellis.core.stats;

import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How many people each of two groups needs for a difference of two shares to be found: the formula
 * of Fleiss, Levin and Paik 2003, without continuity correction.
 */
public final class SampleSize {
  private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);

  private SampleSize() {}

  /**
   * @param first one share, in (0, 1)
   * @param second the other, not the same
   * @param alpha the chance to call a difference where there is none, two-sided, in (0, 1)
   * @param power the chance to find it, in (0, 1)
   * @return people in each group; not rounded
   * @throws IllegalArgumentException if the shares are the same or not inside 0 to 1
   */
  public static double perGroup(double first, double second, double alpha, double power) {
    if (!(first > 0 && first < 1 && second > 0 && second < 1) || first == second) {
      throw new IllegalArgumentException(
          "two different shares inside 0 to 1 are needed, not " + first + " and " + second);
    }
    double mean = (first + second) / 2;
    double zAlpha = NORMAL.inverseSurvivalProbability(alpha / 2);
    double zPower = NORMAL.inverseCumulativeProbability(power);
    double root =
        zAlpha * Math.sqrt(2 * mean * (1 - mean))
            + zPower * Math.sqrt(first * (1 - first) + second * (1 - second));
    double difference = first - second;
    return root * root / (difference * difference);
  }
}
