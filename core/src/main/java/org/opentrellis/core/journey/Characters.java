package org.opentrellis.core.journey;

import java.util.Optional;

/**
 * Which characters may stand in what people write in one line: those that can be seen, and those
 * that shape them. What turns the direction of a line makes a name look like another one; what is
 * no character at all cannot be written to XML (its production 2.2, Char).
 */
public final class Characters {
  private Characters() {}

  /**
   * @return what is wrong with a text, to go on "… must not hold" or "… must"; nothing if it may
   *     stand
   */
  public static Optional<String> refusal(String text) {
    boolean seen = false;
    for (int point : text.codePoints().toArray()) {
      if (Character.isISOControl(point)) {
        return Optional.of("must not hold control characters");
      }
      if (turnsDirection(point)) {
        return Optional.of("must not hold characters that turn the direction of writing");
      }
      if (isNone(point)) {
        return Optional.of("must not hold what is no character (U+%04X)".formatted(point));
      }
      seen = seen || isSeen(point);
    }
    return seen || text.isEmpty()
        ? Optional.empty()
        : Optional.of("must hold something that can be seen");
  }

  /** The marks, embeddings, overrides and isolates of UAX #9 (Unicode 15), section 2. */
  private static boolean turnsDirection(int point) {
    return point == 0x061C
        || point == 0x200E
        || point == 0x200F
        || point >= 0x202A && point <= 0x202E
        || point >= 0x2066 && point <= 0x2069;
  }

  /** Half of a surrogate pair, or one of the 66 noncharacters (Unicode 15, section 23.7). */
  private static boolean isNone(int point) {
    return Character.getType(point) == Character.SURROGATE
        || (point & 0xFFFE) == 0xFFFE
        || point >= 0xFDD0 && point <= 0xFDEF;
  }

  private static boolean isSeen(int point) {
    return switch (Character.getType(point)) {
      case Character.FORMAT,
          Character.SPACE_SEPARATOR,
          Character.LINE_SEPARATOR,
          Character.PARAGRAPH_SEPARATOR,
          Character.UNASSIGNED ->
          false;
      // Two letters of Korean that are shown as nothing.
      default -> point != 0x3164 && point != 0xFFA0 && point != 0x115F && point != 0x1160;
    };
  }
}
