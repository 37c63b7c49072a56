package org.opentrellis.app.live;

import org.jspecify.annotations.Nullable;

/**
 * The account's clock.
 *
 * @param now in epoch seconds
 * @param turnedOn how many seconds it is ahead of the machine's
 * @param next when something is due next; null if nothing is
 * @param turning how far it is, if it is being turned just now
 * @param last what the last turning did; null if there was none since the start
 * @param failure why the last turning ended early; null if it did not
 */
record ClockView(
    long now,
    long turnedOn,
    @Nullable Long next,
    DueWork.@Nullable Turning turning,
    @Nullable Turned last,
    @Nullable String failure) {

  /**
   * A turning that is over.
   *
   * @param seconds by which it was turned on
   * @param turns taken
   * @param messages handed over
   * @param millis how long it took
   */
  record Turned(long seconds, long turns, long messages, long millis) {}
}
