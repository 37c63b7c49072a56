package org.opentrellis.core.search;

import java.util.Arrays;
import org.opentrellis.core.measure.ShareDifference;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.PairedMeans;
import org.opentrellis.core.stats.Pairs;
import org.opentrellis.core.stats.TwoShares;

/**
 * By how much something differs from another, the same people compared one by one, with its 95%
 * interval.
 *
 * @param points first less second
 * @param pValue two-sided
 */
public record Gain(double points, double low, double high, double pValue) {
  /** Nothing differs, or nobody was there. */
  static final Gain NONE = new Gain(0, 0, 0, 1);

  /**
   * @param times the unit that it is told in
   */
  static Gain of(PairedMeans means, double times) {
    if (Double.isNaN(means.difference()) || means.difference() == 0 && !(means.error() > 0)) {
      return NONE;
    }
    Interval interval = means.interval(Confidence.NINETY_FIVE);
    double one = times * interval.low();
    double other = times * interval.high();
    return new Gain(
        times * means.difference(),
        Math.min(one, other),
        Math.max(one, other),
        TwoShares.pValue(means.z()));
  }

  /**
   * Shares of entries. People who come but once are pairs, and judged as such (Newcombe's interval,
   * McNemar's exact test); else by linearized ratios.
   */
  static Gain ofShares(long[] entered, long[] met, long[] entered2, long[] met2) {
    if (!Arrays.equals(entered, entered2) || Arrays.stream(entered).anyMatch(one -> one > 1)) {
      return of(PairedMeans.of(met, entered, met2, entered2), 1);
    }
    long both = 0;
    long first = 0;
    long second = 0;
    long all = 0;
    for (int i = 0; i < entered.length; i++) {
      all += entered[i];
      both += met[i] * met2[i];
      first += met[i] * (1 - met2[i]);
      second += met2[i] * (1 - met[i]);
    }
    ShareDifference difference =
        ShareDifference.paired(new Pairs(both, first, second, all - both - first - second));
    if (difference == null || difference.pValue() == null) {
      return NONE;
    }
    return new Gain(difference.points(), difference.low(), difference.high(), difference.pValue());
  }
}
