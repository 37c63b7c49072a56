package org.opentrellis.core.journey;

/** The one rule for short names. */
final class Text {
  private Text() {}

  /**
   * @return the value without white space at its ends
   * @throws IllegalArgumentException if it is blank, too long or holds control characters
   */
  static String named(String what, String value, int most) {
    String trimmed = value.strip();
    if (trimmed.isEmpty()) {
      throw new IllegalArgumentException(what + " must not be empty");
    }
    if (trimmed.length() > most) {
      throw new IllegalArgumentException(
          what + " must have at most " + most + " characters, not " + trimmed.length());
    }
    if (trimmed.chars().anyMatch(Character::isISOControl)) {
      throw new IllegalArgumentException(what + " must not hold control characters");
    }
    return trimmed;
  }
}
