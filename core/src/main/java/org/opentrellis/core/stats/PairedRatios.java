package org.opentrellis.core.stats;

/**
 * Two shares of the same people, where not everybody counts in both, or more than once: of those
 * who got an email in one run how many opened it, against another run. Each person has a numerator
 * and a denominator in each run; these are the sums over people, and they are mergeable.
 *
 * <p>The shares' standard errors and their covariance are those of linearized ratios (Cochran 1977,
 * Sampling Techniques, section 2.11); the interval combines the shares' Wilson limits with that
 * correlation, as Newcombe's paired method does and as Zou and Donner 2008 show for correlated
 * estimates in general ("Construction of confidence limits about effect measures", Statistics in
 * Medicine 27:1693-1702). All cited from memory. Where everybody counts once in both runs it is
 * Newcombe's paired method without its reduction for continuity.
 *
 * @param n1 numerators of the first run
 * @param d1 its denominators
 * @param n1n1 squares of its numerators
 * @param n1d1 its numerators times its denominators
 * @param d1d1 squares of its denominators
 * @param n2 numerators of the second run, and so on
 * @param n1n2 products of numerators across the runs
 * @param n1d2 the first's numerators times the second's denominators
 * @param d1n2 the first's denominators times the second's numerators
 * @param d1d2 products of denominators across the runs
 */
public record PairedRatios(
    long n1,
    long d1,
    long n1n1,
    long n1d1,
    long d1d1,
    long n2,
    long d2,
    long n2n2,
    long n2d2,
    long d2d2,
    long n1n2,
    long n1d2,
    long d1n2,
    long d1d2) {

  /** Whether either share is of nothing. */
  public boolean isEmpty() {
    return d1 == 0 || d2 == 0;
  }

  public Proportion first() {
    return new Proportion(n1, d1);
  }

  public Proportion second() {
    return new Proportion(n2, d2);
  }

  /** Whether everybody who counts does so once, and in both runs; then they are plain pairs. */
  public boolean arePairs() {
    return d1 == d2 && d1 == d1d2 && d1 == d1d1 && d2 == d2d2 && n1 == n1n1 && n2 == n2n2;
  }

  /**
   * @throws IllegalStateException if they are no plain pairs
   */
  public Pairs pairs() {
    if (!arePairs()) {
      throw new IllegalStateException("not everybody counts once in both runs");
    }
    return new Pairs(n1n2, n1 - n1n2, n2 - n1n2, d1 - n1 - n2 + n1n2);
  }

  private double variance(double n, double d, double nn, double nd, double dd) {
    double share = n / d;
    return Math.max(0, nn - 2 * share * nd + share * share * dd) / (d * d);
  }

  private double covariance() {
    double p1 = (double) n1 / d1;
    double p2 = (double) n2 / d2;
    return (n1n2 - p2 * n1d2 - p1 * d1n2 + p1 * p2 * d1d2) / ((double) d1 * d2);
  }

  private double variance1() {
    return variance(n1, d1, n1n1, n1d1, d1d1);
  }

  private double variance2() {
    return variance(n2, d2, n2n2, n2d2, d2d2);
  }

  /** How alike the two shares vary, in [-1, 1]; 0 where one of them cannot. */
  public double correlation() {
    double both = variance1() * variance2();
    return both == 0 ? 0 : Math.max(-1, Math.min(1, covariance() / Math.sqrt(both)));
  }

  /** First less second, in standard errors; 0 where there is no difference. */
  public double z() {
    double difference = (double) n1 / d1 - (double) n2 / d2;
    double variance = variance1() + variance2() - 2 * covariance();
    return difference == 0 ? 0 : difference / Math.sqrt(Math.max(variance, 1e-300));
  }

  /** The interval of the difference, first less second. */
  public Interval interval(Confidence confidence) {
    return Newcombe.correlated(first(), second(), correlation(), confidence);
  }
}
