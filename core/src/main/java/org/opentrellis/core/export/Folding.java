package org.opentrellis.core.export;

import java.util.stream.Collectors;

/**
 * Folds a calendar's lines at 75 octets of UTF-8 (RFC 5545, section 3.1). The library folds at
 * characters, which makes lines with letters beyond ASCII too long and may part a surrogate pair.
 */
final class Folding {
  private static final int OCTETS = 75;
  private static final String FOLD = "\r\n ";

  private Folding() {}

  /** Folds anew what was folded elsewhere. */
  static String fold(String calendar) {
    return calendar
        .replace(FOLD, "")
        .lines()
        .map(Folding::line)
        .collect(Collectors.joining("\r\n", "", "\r\n"));
  }

  private static String line(String line) {
    StringBuilder folded = new StringBuilder();
    int octets = 0;
    for (int point : line.codePoints().toArray()) {
      int more = point < 0x80 ? 1 : point < 0x800 ? 2 : point < 0x10000 ? 3 : 4;
      if (octets + more > OCTETS) {
        folded.append(FOLD);
        octets = 1;
      }
      folded.appendCodePoint(point);
      octets += more;
    }
    return folded.toString();
  }
}
