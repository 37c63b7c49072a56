package org.opentrellis.core.stats;

/**
 * Newcombe's score intervals for the difference of two shares, first minus second.
 *
 * <p>References: independent shares, method 10 in Newcombe 1998, "Interval estimation for the
 * difference between independent proportions", Statistics in Medicine 17:873-890; paired shares,
 * method 10 in Newcombe 1998, "Improved confidence intervals for the difference between binomial
 * proportions based on paired data", Statistics in Medicine 17:2635-2650 (cited from memory).
 */
public final class Newcombe {
  private Newcombe() {}

  /**
   * The interval for shares of different people.
   *
   * @throws IllegalArgumentException if a total is 0
   */
  public static Interval independent(Proportion first, Proportion second, Confidence confidence) {
    return combine(first, second, 0, confidence);
  }

  /**
   * The interval for shares of the same people. With no correlation it is {@link #independent}.
   *
   * @throws IllegalArgumentException if there are no pairs
   */
  public static Interval paired(Pairs pairs, Confidence confidence) {
    return combine(pairs.first(), pairs.second(), correlation(pairs), confidence);
  }

  /**
   * The interval for shares whose estimates are correlated in a known way.
   *
   * @param correlation in [-1, 1]
   * @throws IllegalArgumentException if a total is 0
   */
  public static Interval correlated(
      Proportion first, Proportion second, double correlation, Confidence confidence) {
    return combine(first, second, correlation, confidence);
  }

  /**
   * The correlation of the pairs, a positive one reduced for continuity; 0 if a margin is empty.
   */
  private static double correlation(Pairs pairs) {
    double a = pairs.both();
    double b = pairs.onlyFirst();
    double c = pairs.onlySecond();
    double d = pairs.neither();
    double margins = (a + b) * (c + d) * (a + c) * (b + d);
    if (margins == 0) {
      return 0;
    }
    double excess = a * d - b * c;
    double corrected = excess > 0 ? Math.max(excess - pairs.total() / 2.0, 0) : excess;
    return corrected / Math.sqrt(margins);
  }

  private static Interval combine(
      Proportion first, Proportion second, double phi, Confidence confidence) {
    Interval one = Wilson.interval(first, confidence);
    Interval two = Wilson.interval(second, confidence);
    double p1 = first.value().orElseThrow();
    double p2 = second.value().orElseThrow();
    double below = reach(p1 - one.low(), two.high() - p2, phi);
    double above = reach(one.high() - p1, p2 - two.low(), phi);
    return new Interval(Math.max(-1, p1 - p2 - below), Math.min(1, p1 - p2 + above));
  }

  private static double reach(double ofFirst, double ofSecond, double phi) {
    double square = ofFirst * ofFirst - 2 * phi * ofFirst * ofSecond + ofSecond * ofSecond;
    return Math.sqrt(Math.max(0, square));
  }
}
