package org.opentrellis.core.journey;

import java.util.Optional;

/**
 * What the journey is to bring about, within some days of entering.
 *
 * @param what met as soon as it holds after entry
 * @param withinDays 1 to 730, in days of 24 hours since entry
 * @param leaveWhenMet whether people who met it leave the journey
 */
public record Goal(Condition what, int withinDays, boolean leaveWhenMet) {
  public Goal {
    Text.inRange("a goal's days", withinDays, 1, 730);
  }

  /** Buys anything. */
  public static Goal bought(int withinDays, boolean leaveWhenMet) {
    return new Goal(
        new Condition.Bought(Purchases.ANY, Optional.empty()), withinDays, leaveWhenMet);
  }
}
