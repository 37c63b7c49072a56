package org.opentrellis.core.stats;

import java.util.Locale;

/** Differences in words. */
public final class Points {
  private Points() {}

  /** With its sign and one decimal, such as "+1.2" or "−0.4"; "0.0" for none. */
  public static String signed(double value) {
    String text = String.format(Locale.ROOT, "%+,.1f", value);
    return text.equals("-0.0") || text.equals("+0.0") ? "0.0" : text.replace('-', '\u2212');
  }
}
