package org.opentrellis.core.ahead;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;

/**
 * The days that are looked at, hour by hour of a clock.
 *
 * @param first the first of them
 * @param count how many, 1 to {@value #MOST}
 * @param zone whose clock
 */
public record Days(LocalDate first, int count, ZoneId zone) {
  public static final int MOST = 100;
  static final int HOURS = 24;

  public Days {
    if (count < 1 || count > MOST) {
      throw new IllegalArgumentException("days ahead: " + count);
    }
  }

  /** How many hours there are. */
  int hours() {
    return count * HOURS;
  }

  /** The hour of a moment in epoch seconds, from 0; -1 if it lies on none of the days. */
  public int hourOf(long moment) {
    LocalDateTime local = LocalDateTime.ofInstant(Instant.ofEpochSecond(moment), zone);
    long day = ChronoUnit.DAYS.between(first, local.toLocalDate());
    return day < 0 || day >= count ? -1 : (int) day * HOURS + local.getHour();
  }

  /** When the first day begins, in epoch seconds. */
  public long begins() {
    return first.atStartOfDay(zone).toEpochSecond();
  }
}
