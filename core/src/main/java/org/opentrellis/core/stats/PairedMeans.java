package org.opentrellis.core.stats;

/**
 * The difference of two ratios of sums over the same people, such as orders for each entry under
 * two treatments, first less second. Its standard error is that of linearized ratios, person by
 * person (Cochran 1977, Sampling Techniques, section 2.11, cited from memory); with every
 * denominator 1 it is the paired t statistic's.
 *
 * @param difference NaN if a denominator is 0
 * @param error its standard error; NaN for fewer than two people
 */
public record PairedMeans(double difference, double error) {

  /**
   * @param y1 the first's numerators, person by person
   * @param x1 its denominators
   * @param y2 the second's numerators, in the same order
   * @param x2 its denominators
   * @throws IllegalArgumentException if they are not of the same people
   */
  public static PairedMeans of(long[] y1, long[] x1, long[] y2, long[] x2) {
    int people = y1.length;
    if (x1.length != people || y2.length != people || x2.length != people) {
      throw new IllegalArgumentException("paired means need the same people");
    }
    double x1All = sum(x1);
    double x2All = sum(x2);
    double first = sum(y1) / x1All;
    double second = sum(y2) / x2All;
    double squares = 0;
    for (int i = 0; i < people; i++) {
      double residual = (y1[i] - first * x1[i]) / x1All - (y2[i] - second * x2[i]) / x2All;
      squares += residual * residual;
    }
    boolean none = people < 2 || x1All == 0 || x2All == 0;
    double error = none ? Double.NaN : Math.sqrt(squares * people / (people - 1.0));
    return new PairedMeans(first - second, error);
  }

  private static double sum(long[] values) {
    double sum = 0;
    for (long value : values) {
      sum += value;
    }
    return sum;
  }

  /** In standard errors; 0 where there is no difference, or none can be told. */
  public double z() {
    return difference == 0 || Double.isNaN(error) || Double.isNaN(difference)
        ? 0
        : difference / Math.max(error, 1e-300);
  }

  /** By the normal approximation, which needs some dozens of people. */
  public Interval interval(Confidence confidence) {
    double reach = confidence.z() * (Double.isNaN(error) ? 0 : error);
    return new Interval(difference - reach, difference + reach);
  }
}
