package org.opentrellis.app.people;

import java.util.Locale;

/** How texts are compared: without regard to case. */
final class TextKey {
  private TextKey() {}

  static String of(String text) {
    return text.toLowerCase(Locale.ROOT);
  }
}
