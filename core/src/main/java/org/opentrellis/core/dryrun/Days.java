package org.opentrellis.core.dryrun;

import org.opentrellis.core.calendar.ZoneClock;

/**
 * Times since entry as days of 24 hours. They lie within a run, so they fit an int, which is quick.
 */
final class Days {
  private Days() {}

  /** How many whole days have passed. */
  static int passed(long seconds) {
    return (int) seconds / ZoneClock.DAY;
  }

  /** The first whole day by whose end the time has come; day 0 is at once. */
  static int reached(long seconds) {
    return ((int) seconds + ZoneClock.DAY - 1) / ZoneClock.DAY;
  }
}
