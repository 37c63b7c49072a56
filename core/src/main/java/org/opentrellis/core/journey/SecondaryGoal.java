package org.opentrellis.core.journey;

/**
 * Something else that the journey is to bring about. It is counted; nobody leaves by it.
 *
 * @param what met as soon as it holds after entry
 * @param withinDays 1 to 730, in days of 24 hours since entry
 */
public record SecondaryGoal(Condition what, int withinDays) {
  public SecondaryGoal {
    Text.inRange("a secondary goal's days", withinDays, 1, 730);
  }
}
