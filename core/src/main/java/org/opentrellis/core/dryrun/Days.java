package org.opentrellis.core.dryrun;

import org.opentrellis.core.calendar.ZoneClock;

/**
 * Times within a run as days of 24 hours and as quarters of an hour. They are never negative and
 * take years at the most, so that a division is a multiplication by the reciprocal in 2^32nds,
 * rounded up; that is exact for so short times (Granlund and Montgomery 1994, "Division by
 * Invariant Integers using Multiplication", theorem 4.2), and takes half the instructions.
 */
final class Days {
  static final int QUARTERS = 96;

  /** Times must be below this, some five years. */
  static final long LIMIT = 1L << 27;

  /** A day is 2^7 times 675 seconds, a quarter of an hour 2^2 times 225. */
  private static final int DAY_SHIFT = 7;

  private static final long DAY_PART = reciprocal(ZoneClock.DAY >> DAY_SHIFT);
  private static final int QUARTER_SHIFT = 2;
  private static final long QUARTER_PART = reciprocal(ZoneClock.DAY / QUARTERS >> QUARTER_SHIFT);

  private Days() {}

  private static long reciprocal(int of) {
    return (1L << 32) / of + 1;
  }

  /** How many whole days have passed. */
  static int passed(long seconds) {
    return (int) ((seconds >> DAY_SHIFT) * DAY_PART >> 32);
  }

  /** The first whole day by whose end the time has come; day 0 is at once. */
  static int reached(long seconds) {
    return passed(seconds + ZoneClock.DAY - 1);
  }

  /** How many whole quarters of an hour have passed. */
  static int quarters(long seconds) {
    return (int) ((seconds >> QUARTER_SHIFT) * QUARTER_PART >> 32);
  }
}
