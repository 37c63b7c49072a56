package org.opentrellis.core.random;

import org.apache.commons.statistics.distribution.BetaDistribution;

/**
 * The quantiles of a beta distribution at evenly spaced shares, each by Newton's method from the
 * one before. The share between two neighbours is integrated from the density by Gauss and
 * Legendre's rule with five points (Abramowitz and Stegun 1964, table 25.4), on the logit scale,
 * where the density has no poles. Some ten times quicker than inverting one by one.
 */
final class BetaQuantiles {
  private static final double[] NODES = {
    0, 0.538469310105683, -0.538469310105683, 0.906179845938664, -0.906179845938664
  };
  private static final double[] WEIGHTS = {
    0.568888888888889, 0.478628670499366, 0.478628670499366, 0.236926885056189, 0.236926885056189
  };
  private static final int MOST_STEPS = 30;

  private final double alpha;
  private final double beta;
  private final double logScale;

  private BetaQuantiles(BetaDistribution distribution) {
    alpha = distribution.getAlpha();
    beta = distribution.getBeta();
    double half = 0.5;
    logScale =
        distribution.logDensity(half) - (alpha - 1) * Math.log(half) - (beta - 1) * Math.log(half);
  }

  /** The quantiles at i / cells for i = 0 to cells; 0 and 1 at the ends. */
  static double[] edges(BetaDistribution distribution, int cells) {
    BetaQuantiles quantiles = new BetaQuantiles(distribution);
    double[] edges = new double[cells + 1];
    edges[cells] = 1;
    int middle = cells / 2;
    double start = logit(distribution.inverseCumulativeProbability((double) middle / cells));
    edges[middle] = inverseLogit(start);
    quantiles.walk(edges, middle, start, 1.0 / cells, 1);
    quantiles.walk(edges, middle, start, 1.0 / cells, -1);
    return edges;
  }

  private void walk(double[] edges, int from, double start, double share, int direction) {
    double at = start;
    for (int i = from + direction; i > 0 && i < edges.length - 1; i += direction) {
      at = next(at, direction * share);
      edges[i] = inverseLogit(at);
    }
  }

  /** Where the share between here and there is as asked. */
  private double next(double from, double share) {
    double to = from + share / density(from);
    for (int step = 0; step < MOST_STEPS; step++) {
      double correction = (share - between(from, to)) / density(to);
      to += Math.max(-1, Math.min(1, correction));
      if (Math.abs(correction) < 1e-13 * Math.max(1, Math.abs(to))) {
        break;
      }
    }
    return to;
  }

  private double between(double from, double to) {
    double half = (to - from) / 2;
    double middle = (to + from) / 2;
    double sum = 0;
    for (int i = 0; i < NODES.length; i++) {
      sum += WEIGHTS[i] * density(middle + half * NODES[i]);
    }
    return half * sum;
  }

  /** The density of the logit: that of x times x (1 - x). */
  private double density(double logit) {
    double logX = -Math.log1p(Math.exp(-logit));
    double logRest = -Math.log1p(Math.exp(logit));
    return Math.exp(logScale + alpha * logX + beta * logRest);
  }

  private static double logit(double x) {
    return Math.log(x) - Math.log1p(-x);
  }

  private static double inverseLogit(double t) {
    return 1 / (1 + Math.exp(-t));
  }
}
