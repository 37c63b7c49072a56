package org.opentrellis.core.calendar;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.opentrellis.core.problem.Refused;

/** The years that anybody plans in, or looks back to. Beyond them something was mistyped. */
public final class Years {
  private static final int FIRST = 1900;
  private static final int LAST = 2200;

  private Years() {}

  /**
   * @throws Refused if the year is before 1900 or after 2200
   */
  public static LocalDate withinReason(LocalDate date) {
    if (date.getYear() < FIRST || date.getYear() > LAST) {
      throw new Refused("a year must be %d to %d, not %d".formatted(FIRST, LAST, date.getYear()));
    }
    return date;
  }

  /**
   * @throws Refused if its year in UTC is before 1900 or after 2200
   */
  public static Instant withinReason(Instant moment) {
    withinReason(LocalDate.ofInstant(moment, ZoneOffset.UTC));
    return moment;
  }
}
