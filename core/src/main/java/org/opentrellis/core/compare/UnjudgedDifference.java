package org.opentrellis.core.compare;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.McNemar;
import org.opentrellis.core.stats.Newcombe;
import org.opentrellis.core.stats.PairedRatios;
import org.opentrellis.core.stats.Pairs;
import org.opentrellis.core.stats.SampleSize;
import org.opentrellis.core.stats.TwoShares;

/**
 * A difference before it is judged among others.
 *
 * @param points this less that
 * @param factor how many times as many people would be needed to find a difference as large with
 *     80% power; infinite for none
 */
record UnjudgedDifference(
    double points, Interval interval, boolean paired, double pValue, double factor, long fewest) {
  private static final double ALPHA = 0.05;
  private static final double POWER = 0.8;

  /** The normal quantiles of a two-sided 5% and of 80% power, added; from memory, checked. */
  private static final double REACH = 1.959963984540054 + 0.8416212335729143;

  /** Between different people; null if one of the two is of nobody. */
  static @Nullable UnjudgedDifference unpaired(Share now, Share base) {
    if (now.of() == 0 || base.of() == 0) {
      return null;
    }
    double p1 = (double) now.count() / now.of();
    double p2 = (double) base.count() / base.of();
    double p = TwoShares.pValue(TwoShares.z(now.proportion(), base.proportion()));
    long fewest = Math.min(now.of(), base.of());
    boolean inside = p1 > 0 && p1 < 1 && p2 > 0 && p2 < 1 && p1 != p2;
    double needed = inside ? SampleSize.perGroup(p1, p2, ALPHA, POWER) : Double.POSITIVE_INFINITY;
    return new UnjudgedDifference(
        p1 - p2,
        Newcombe.independent(now.proportion(), base.proportion(), Confidence.NINETY_FIVE),
        false,
        p,
        needed / fewest,
        fewest);
  }

  /** Between the same people; null if one of the two is of nobody. */
  static @Nullable UnjudgedDifference paired(PairedRatios ratios) {
    if (ratios.isEmpty()) {
      return null;
    }
    if (ratios.arePairs()) {
      return paired(ratios.pairs());
    }
    double points = (double) ratios.n1() / ratios.d1() - (double) ratios.n2() / ratios.d2();
    double z = ratios.z();
    return new UnjudgedDifference(
        points,
        ratios.interval(Confidence.NINETY_FIVE),
        true,
        TwoShares.pValue(z),
        factor(z),
        Math.min(ratios.d1(), ratios.d2()));
  }

  /** Between the same people, each of whom counts in both; null if there are none. */
  static @Nullable UnjudgedDifference paired(Pairs pairs) {
    if (pairs.total() == 0) {
      return null;
    }
    double changed = (double) pairs.onlyFirst() + pairs.onlySecond();
    double z = changed == 0 ? 0 : (pairs.onlyFirst() - pairs.onlySecond()) / Math.sqrt(changed);
    return new UnjudgedDifference(
        ((double) pairs.onlyFirst() - pairs.onlySecond()) / pairs.total(),
        Newcombe.paired(pairs, Confidence.NINETY_FIVE),
        true,
        McNemar.exact(pairs),
        factor(z),
        pairs.total());
  }

  /** Two figures with standard errors, of different people or taken as such. */
  static UnjudgedDifference ofEstimates(
      double now, double nowError, double base, double baseError, long fewest) {
    double error = Math.hypot(nowError, baseError);
    double z = error == 0 ? 0 : (now - base) / error;
    double reach = Confidence.NINETY_FIVE.z() * error;
    return new UnjudgedDifference(
        now - base,
        new Interval(now - base - reach, now - base + reach),
        false,
        TwoShares.pValue(z),
        factor(z),
        fewest);
  }

  private static double factor(double z) {
    return z == 0 ? Double.POSITIVE_INFINITY : Math.pow(REACH / z, 2);
  }
}
