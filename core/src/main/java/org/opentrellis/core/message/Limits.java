package org.opentrellis.core.message;

import org.opentrellis.core.journey.Characters;
import org.opentrellis.core.problem.Refused;

/**
 * What holds for everything that is written in a message or a form; each refuses with a sentence.
 */
public final class Limits {
  private Limits() {}

  /** A line, as it was written, with the spaces at its ends. */
  public static String line(String what, String value, int most) {
    if (value.length() > most) {
      throw new Refused(
          "%s must have at most %,d characters, not %,d".formatted(what, most, value.length()));
    }
    Characters.refusal(value)
        .filter(wrong -> !value.isBlank())
        .ifPresent(
            wrong -> {
              throw new Refused(what + " " + wrong);
            });
    return value;
  }

  static int within(String what, int value, int least, int most) {
    if (value < least || value > most) {
      throw new Refused("%s must be %d to %d, not %d".formatted(what, least, most, value));
    }
    return value;
  }
}
