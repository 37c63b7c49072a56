package org.opentrellis.core.journey;

/**
 * Whether somebody who triggers a journey again may enter it again. A journey that starts from a
 * cart counts per cart: another cart is never "again".
 */
public sealed interface ReEntry
    permits ReEntry.Never, ReEntry.AfterHavingLeft, ReEntry.AfterDays, ReEntry.EveryTime {

  record Never() implements ReEntry {}

  record AfterHavingLeft() implements ReEntry {}

  /**
   * @param days since the last entry, 1 to 3660
   */
  record AfterDays(int days) implements ReEntry {
    public AfterDays {
      Text.inRange("the days between two entries", days, 1, 3660);
    }
  }

  /** Every time, side by side with an earlier entry that is not over. */
  record EveryTime() implements ReEntry {}
}
