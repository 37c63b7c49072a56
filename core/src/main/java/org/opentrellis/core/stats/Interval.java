package org.opentrellis.core.stats;

/**
 * An interval estimate.
 *
 * @param low the lower end
 * @param high the upper end, at least {@code low}
 */
public record Interval(double low, double high) {
  public Interval {
    if (!(low <= high)) {
      throw new IllegalArgumentException("an interval from " + low + " to " + high);
    }
  }

  public boolean contains(double value) {
    return low <= value && value <= high;
  }
}
