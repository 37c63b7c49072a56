package org.opentrellis.core.stats;

import org.apache.commons.statistics.distribution.BinomialDistribution;

/**
 * McNemar's exact test: whether the same people differ under two treatments, judged from those who
 * changed alone. Two-sided binomial test at one half (McNemar 1947, Psychometrika 12:153-157, cited
 * from memory).
 */
public final class McNemar {
  private McNemar() {}

  /** The two-sided p-value; 1 when nobody differs. */
  public static double exact(Pairs pairs) {
    long changed = pairs.onlyFirst() + pairs.onlySecond();
    if (changed == 0) {
      return 1;
    }
    int fewer = Math.toIntExact(Math.min(pairs.onlyFirst(), pairs.onlySecond()));
    double tail =
        BinomialDistribution.of(Math.toIntExact(changed), 0.5).cumulativeProbability(fewer);
    return Math.min(1, 2 * tail);
  }
}
