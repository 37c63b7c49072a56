package org.opentrellis.core.random;

import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.ContinuousDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * A distribution's inverse as a table with linear interpolation, exact in the outer cells, where
 * the inverse bends too much for a straight line. Inversion keeps draws monotone in their uniform,
 * so that a person who opens early under one assumption does so under a nearby one.
 *
 * <p>Accuracy: with {@value #CELLS} cells the standard normal is off by less than 1e-4, which
 * shifts a lognormal delay by less than 0.02%.
 */
public final class QuantileTable {
  static final int CELLS = 2048;
  private static final int EXACT_CELLS = 6;

  private final ContinuousDistribution distribution;
  private final double[] atEdge = new double[CELLS + 1];

  private QuantileTable(ContinuousDistribution distribution) {
    this.distribution = distribution;
    for (int i = 1; i < CELLS; i++) {
      atEdge[i] = distribution.inverseCumulativeProbability((double) i / CELLS);
    }
  }

  public static QuantileTable standardNormal() {
    return new QuantileTable(NormalDistribution.of(0, 1));
  }

  /** The beta distribution with these parameters, both more than 0. */
  public static QuantileTable beta(double alpha, double beta) {
    return new QuantileTable(BetaDistribution.of(alpha, beta));
  }

  /**
   * The value below which a share lies.
   *
   * @param share in (0, 1)
   */
  public double at(double share) {
    double position = share * CELLS;
    int cell = (int) position;
    if (cell < EXACT_CELLS || cell >= CELLS - EXACT_CELLS) {
      return distribution.inverseCumulativeProbability(share);
    }
    return atEdge[cell] + (position - cell) * (atEdge[cell + 1] - atEdge[cell]);
  }
}
