package org.opentrellis.core.stats;

/**
 * Wilson's score interval for a share, without continuity correction.
 *
 * <p>Reference: method 3 in Newcombe 1998, "Two-sided confidence intervals for the single
 * proportion", Statistics in Medicine 17:857-872.
 */
public final class Wilson {
  private Wilson() {}

  /**
   * The interval, inside [0, 1].
   *
   * @throws IllegalArgumentException if the total is 0, which has no interval
   */
  public static Interval interval(Proportion share, Confidence confidence) {
    if (share.of() == 0) {
      throw new IllegalArgumentException("no interval for a share of nothing");
    }
    double n = share.of();
    double p = share.count() / n;
    double z = confidence.z();
    double z2 = z * z;
    double centre = 2 * n * p + z2;
    double reach = z * Math.sqrt(z2 + 4 * n * p * (1 - p));
    double scale = 2 * (n + z2);
    double low = share.count() == 0 ? 0 : Math.max(0, (centre - reach) / scale);
    double high = share.count() == share.of() ? 1 : Math.min(1, (centre + reach) / scale);
    return new Interval(low, high);
  }
}
