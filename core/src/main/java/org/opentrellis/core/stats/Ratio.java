package org.opentrellis.core.stats;

/**
 * A ratio of two sums over people, such as orders for each email, with the standard error that
 * linearization gives: {@code var(r) = sum (y - r x)^2 / (sum x)^2}, times {@code n / (n - 1)}.
 *
 * <p>Reference: Cochran 1977, Sampling Techniques, 3rd edition, section 2.11 (cited from memory).
 * With every {@code x} being 1 it is the mean and its standard error.
 *
 * @param value sum of y over sum of x; NaN when the sum of x is 0
 * @param error its standard error; NaN for fewer than two people
 */
public record Ratio(double value, double error) {

  /**
   * @param people how many
   * @param y the sum of the numerators
   * @param x the sum of the denominators
   * @param yy the sum of their squares
   * @param xy the sum of the products
   * @param xx the sum of the denominators' squares
   */
  public static Ratio of(long people, double y, double x, double yy, double xy, double xx) {
    double value = y / x;
    double squares = Math.max(0, yy - 2 * value * xy + value * value * xx);
    double error = Math.sqrt(squares * people / (people - 1.0)) / x;
    return new Ratio(x == 0 ? Double.NaN : value, people < 2 || x == 0 ? Double.NaN : error);
  }

  /** The mean of a number that people have. */
  public static Ratio mean(long people, double y, double yy) {
    return of(people, y, people, yy, y, people);
  }

  /**
   * By the normal approximation, which needs some dozens of people; the lower end is not below 0.
   *
   * @throws IllegalStateException if there is no error
   */
  public Interval interval(Confidence confidence) {
    if (Double.isNaN(error)) {
      throw new IllegalStateException("no interval for the ratio of fewer than two people");
    }
    double reach = confidence.z() * error;
    return new Interval(Math.max(0, value - reach), value + reach);
  }
}
