package org.opentrellis.core.random;

import org.apache.commons.statistics.distribution.BetaDistribution;

/**
 * The outermost quantiles of a beta distribution. Near 0 the quantile of a share u goes as u to the
 * power of 1/alpha, so its logarithm is all but a straight line in log u; it is interpolated
 * between exact points, each at half the share of the one before, and likewise near 1.
 */
final class BetaTails {
  private static final int POINTS = 48;
  private static final double LOG_2 = Math.log(2);

  private final double from;
  private final double[] low = new double[POINTS];
  private final double[] high = new double[POINTS];

  /**
   * @param from the largest share that the lower tail is asked for
   */
  BetaTails(BetaDistribution distribution, double from) {
    this.from = from;
    double share = from;
    for (int i = 0; i < POINTS; i++) {
      low[i] = Math.log(distribution.inverseCumulativeProbability(share));
      high[i] = Math.log1p(-distribution.inverseSurvivalProbability(share));
      share /= 2;
    }
  }

  double at(double share) {
    return share < 0.5 ? Math.exp(value(low, share)) : -Math.expm1(value(high, 1 - share));
  }

  private double value(double[] logs, double share) {
    double position = Math.max(0, Math.log(from / share) / LOG_2);
    int point = (int) Math.min(position, POINTS - 2);
    return logs[point] + (position - point) * (logs[point + 1] - logs[point]);
  }
}
