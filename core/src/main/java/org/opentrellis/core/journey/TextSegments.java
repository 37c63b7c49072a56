package org.opentrellis.core.journey;

/**
 * How many segments a text is sent in, each of which is paid for. 3GPP TS 23.038 and 23.040 (from
 * memory): 160 septets of the GSM alphabet alone or 153 in each of several, else 70 or 67 units of
 * UCS-2; a character of two units is never parted.
 */
public final class TextSegments {
  private static final String ONE_SEPTET =
      "@\u00a3$\u00a5\u00e8\u00e9\u00f9\u00ec\u00f2\u00c7\n\u00d8\u00f8\r\u00c5\u00e5\u0394_\u03a6\u0393\u039b"
          + "\u03a9\u03a0\u03a8\u03a3\u0398\u039e\u00c6\u00e6\u00df\u00c9 !\"#\u00a4%&'()*+,-./0123456789:;<=>?"
          + "\u00a1ABCDEFGHIJKLMNOPQRSTUVWXYZ\u00c4\u00d6\u00d1\u00dc\u00a7\u00bfabcdefghijklmnopqrstuvwxyz"
          + "\u00e4\u00f6\u00f1\u00fc\u00e0";
  private static final String TWO_SEPTETS = "\f^{}\\[~]|\u20ac";

  private TextSegments() {}

  /** At least 1. */
  public static int of(String text) {
    boolean gsm =
        text.chars().allMatch(c -> ONE_SEPTET.indexOf(c) >= 0 || TWO_SEPTETS.indexOf(c) >= 0);
    return gsm ? segments(text, true, 160, 153) : segments(text, false, 70, 67);
  }

  private static int segments(String text, boolean gsm, int alone, int each) {
    int units = 0;
    int segments = 1;
    int inSegment = 0;
    for (int i = 0; i < text.length(); i++) {
      int width = gsm && TWO_SEPTETS.indexOf(text.charAt(i)) >= 0 ? 2 : 1;
      if (!gsm && Character.isHighSurrogate(text.charAt(i)) && i + 1 < text.length()) {
        width = 2;
        i++;
      }
      units += width;
      if (inSegment + width > each) {
        segments++;
        inSegment = 0;
      }
      inSegment += width;
    }
    return units <= alone ? 1 : segments;
  }
}
