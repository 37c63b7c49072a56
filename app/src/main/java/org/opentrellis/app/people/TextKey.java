package org.opentrellis.app.people;

import java.util.Locale;

/** How texts are compared: without regard to case. */
public final class TextKey {
  private TextKey() {}

  public static String of(String text) {
    return text.toLowerCase(Locale.ROOT);
  }
}
