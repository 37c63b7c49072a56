package org.opentrellis.bench;

/** A sum over people, and the sum of its squares. */
final class Sums {
  private double sum;
  private double squares;

  static Sums of(double sum, double squares) {
    Sums sums = new Sums();
    sums.sum = sum;
    sums.squares = squares;
    return sums;
  }

  /** One whose squares are not known; it can be compared with one whose squares are. */
  static Sums of(double sum) {
    return of(sum, Double.NaN);
  }

  /** One person's part grows. */
  void grows(double before, double more) {
    sum += more;
    squares += more * (2 * before + more);
  }

  /** How far apart two sums over so many people are, in standard errors. */
  double distance(Sums other, long people) {
    double mean = (sum + other.sum) / (2.0 * people);
    double square = Double.isNaN(squares) ? other.squares : squares;
    double variance = square / people - mean * mean;
    return Math.abs(sum - other.sum) / Math.sqrt(2 * people * variance);
  }
}
