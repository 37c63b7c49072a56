package org.opentrellis.core.account;

import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import org.opentrellis.core.problem.Refused;

/**
 * Between these times nothing is sent, by each person's own clock; over midnight if the end is the
 * earlier one.
 *
 * @param from the first minute of them
 * @param to the first minute after them
 */
public record QuietHours(LocalTime from, LocalTime to) {
  public QuietHours {
    from = from.truncatedTo(ChronoUnit.MINUTES);
    to = to.truncatedTo(ChronoUnit.MINUTES);
    if (from.equals(to)) {
      throw new Refused(
          "quiet hours end at another time than they begin; else nothing is ever sent");
    }
  }

  /** Whether it is quiet then. */
  public boolean at(LocalTime time) {
    boolean begun = !time.isBefore(from);
    boolean over = !time.isBefore(to);
    return from.isBefore(to) ? begun && !over : begun || !over;
  }

  /** How long they are, in minutes. */
  public long minutes() {
    return Math.floorMod(
        ChronoUnit.MINUTES.between(from, to), ChronoUnit.DAYS.getDuration().toMinutes());
  }
}
