package org.opentrellis.core.measure;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.Proportion;
import org.opentrellis.core.stats.Wilson;

/**
 * A share with its 95% Wilson interval. With a denominator of 0 there is none yet, and value, low
 * and high are null: never 0% and never NaN.
 *
 * @param count the numerator
 * @param of the denominator
 * @param value in [0, 1]
 * @param low the interval's lower end
 * @param high the interval's upper end
 */
public record Share(
    long count, long of, @Nullable Double value, @Nullable Double low, @Nullable Double high) {

  public static Share of(long count, long of) {
    Proportion proportion = new Proportion(count, of);
    if (of == 0) {
      return new Share(count, of, null, null, null);
    }
    Interval interval = Wilson.interval(proportion, Confidence.NINETY_FIVE);
    return new Share(count, of, (double) count / of, interval.low(), interval.high());
  }

  public Proportion proportion() {
    return new Proportion(count, of);
  }
}
