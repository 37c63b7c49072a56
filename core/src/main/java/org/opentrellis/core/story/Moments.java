package org.opentrellis.core.story;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Says instants in somebody's own time. */
final class Moments {
  private static final DateTimeFormatter DAY_AND_TIME =
      DateTimeFormatter.ofPattern("EEE d MMM HH:mm", Locale.ENGLISH);

  private final ZoneId zone;

  Moments(ZoneId zone) {
    this.zone = zone;
  }

  /** Such as "Tue 3 Mar 07:41". */
  String say(long epochSecond) {
    return Instant.ofEpochSecond(epochSecond).atZone(zone).format(DAY_AND_TIME);
  }
}
