package org.opentrellis.core.stats;

import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * Whether two shares of different people differ: Pearson's test with the pooled variance, without
 * continuity correction, which is the square of the z test's.
 */
public final class TwoShares {
  private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);

  private TwoShares() {}

  /**
   * First less second, in standard errors; 0 where all or none of both have it.
   *
   * @throws IllegalArgumentException if a total is 0
   */
  public static double z(Proportion first, Proportion second) {
    if (first.of() == 0 || second.of() == 0) {
      throw new IllegalArgumentException("no difference to a share of nothing");
    }
    double p1 = (double) first.count() / first.of();
    double p2 = (double) second.count() / second.of();
    double pooled = ((double) first.count() + second.count()) / (first.of() + second.of());
    double variance = pooled * (1 - pooled) * (1.0 / first.of() + 1.0 / second.of());
    return variance == 0 ? 0 : (p1 - p2) / Math.sqrt(variance);
  }

  /** The two-sided p-value of a z. */
  public static double pValue(double z) {
    return Math.min(1, 2 * NORMAL.survivalProbability(Math.abs(z)));
  }
}
