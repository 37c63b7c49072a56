package org.opentrellis.core.measure;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Shares as sentences say them. */
public final class ShareWords {
  private ShareWords() {}

  /** "6.9%", or "none yet". */
  public static String percent(Share share) {
    return percent(share.value());
  }

  static String percent(@Nullable Double value) {
    return value == null ? "none yet" : String.format(Locale.ROOT, "%.1f%%", value * 100);
  }

  /** With half of its 95% interval, which is enough where it is one of many. */
  public static String figure(Share share) {
    if (share.low() == null || share.high() == null) {
      return "none yet";
    }
    return String.format(
        Locale.ROOT, "%s \u00b1%.1f", percent(share), 50 * (share.high() - share.low()));
  }
}
