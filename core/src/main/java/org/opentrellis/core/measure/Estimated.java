package org.opentrellis.core.measure;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.Ratio;

/**
 * A figure that is no share, with its 95% interval; null where there is none yet.
 *
 * @param value in the unit that whoever holds it says
 * @param low the interval's lower end
 * @param high the upper end
 * @param error the standard error that the interval comes of; null where it comes of another method
 */
public record Estimated(
    @Nullable Double value, @Nullable Double low, @Nullable Double high, @Nullable Double error) {
  public static final Estimated NONE = new Estimated(null, null, null, null);

  /**
   * @param scale what the ratio is multiplied by, such as 1000 for a figure per thousand
   */
  static Estimated of(Ratio ratio, double scale) {
    if (Double.isNaN(ratio.error())) {
      return NONE;
    }
    Interval interval = ratio.interval(Confidence.NINETY_FIVE);
    return new Estimated(
        scale * ratio.value(),
        scale * interval.low(),
        scale * interval.high(),
        scale * ratio.error());
  }
}
