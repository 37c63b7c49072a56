package org.opentrellis.core.journey;

import java.time.LocalTime;
import org.opentrellis.core.problem.Refused;

/** The few rules for single values that all types share. Each refuses with a sentence. */
public final class Text {
  private Text() {}

  /**
   * @return the value without white space at its ends
   * @throws Refused if it is blank or too long, or {@link Characters} refuses it
   */
  public static String named(String what, String value, int most) {
    String trimmed = value.strip();
    if (trimmed.isEmpty()) {
      throw new Refused(what + " must not be empty");
    }
    if (trimmed.length() > most) {
      throw new Refused(
          what + " must have at most " + most + " characters, not " + trimmed.length());
    }
    Characters.refusal(trimmed)
        .ifPresent(
            wrong -> {
              throw new Refused(what + " " + wrong);
            });
    return trimmed;
  }

  static void inRange(String what, int value, int least, int most) {
    if (value < least || value > most) {
      throw new Refused(what + " must be " + least + " to " + most + ", not " + value);
    }
  }

  static void percent(double value) {
    if (!(value >= 0 && value <= 100)) {
      throw new Refused("a share must be 0 to 100 percent, not " + value);
    }
  }

  static void toTheMinute(LocalTime time) {
    if (time.getSecond() != 0 || time.getNano() != 0) {
      throw new Refused("a time of day goes to the minute, not " + time);
    }
  }
}
