package org.opentrellis.core.measure;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.McNemar;
import org.opentrellis.core.stats.Newcombe;
import org.opentrellis.core.stats.Pairs;
import org.opentrellis.core.stats.Proportion;

/**
 * The difference of a share between two runs, first minus second, with its 95% interval.
 *
 * @param points in [-1, 1]
 * @param low the interval's lower end
 * @param high the interval's upper end
 * @param paired whether the same people were compared one by one
 * @param pValue McNemar's exact p-value of a paired difference; null if unpaired
 * @param realDifference whether the interval leaves out 0
 */
public record ShareDifference(
    double points,
    double low,
    double high,
    boolean paired,
    @Nullable Double pValue,
    boolean realDifference) {

  /** Between different people; null if one of the totals is 0. */
  public static @Nullable ShareDifference unpaired(Share first, Share second) {
    if (first.of() == 0 || second.of() == 0) {
      return null;
    }
    Interval interval =
        Newcombe.independent(first.proportion(), second.proportion(), Confidence.NINETY_FIVE);
    return of(first.proportion(), second.proportion(), interval, false, null);
  }

  /** Between the same people; null if there are none. */
  public static @Nullable ShareDifference paired(Pairs pairs) {
    if (pairs.total() == 0) {
      return null;
    }
    Interval interval = Newcombe.paired(pairs, Confidence.NINETY_FIVE);
    return of(pairs.first(), pairs.second(), interval, true, McNemar.exact(pairs));
  }

  private static ShareDifference of(
      Proportion first,
      Proportion second,
      Interval interval,
      boolean paired,
      @Nullable Double pValue) {
    double points = first.value().orElseThrow() - second.value().orElseThrow();
    return new ShareDifference(
        points, interval.low(), interval.high(), paired, pValue, !interval.contains(0));
  }
}
