package org.opentrellis.core.newsletter;

import java.time.LocalDate;
import java.time.LocalTime;
import org.opentrellis.core.problem.Refused;

/**
 * When a newsletter goes out.
 *
 * @param at to the minute
 * @param theirTime whether it is meant by each person's own clock, not the account's
 */
public record Going(LocalDate date, LocalTime at, boolean theirTime) {
  public Going {
    if (at.getSecond() != 0 || at.getNano() != 0) {
      throw new Refused("a newsletter goes out to the minute, not at " + at);
    }
  }

  /** The same on another day. */
  public Going on(LocalDate other) {
    return new Going(other, at, theirTime);
  }
}
