package org.opentrellis.app.live;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Somebody in journeys. Moments are epoch seconds.
 *
 * @param stands where they stand now
 * @param happened what happened to them, the newest first
 * @param messages what was sent to them, the newest first
 */
record PersonLive(
    long person,
    List<StandsAt> stands,
    List<GlasshouseView.LoggedLine> happened,
    List<SentToThem> messages) {

  /**
   * @param why the step as a sentence
   * @param until when they wait there at the latest; null if nothing says so
   * @param earlierPlan whether they go through an earlier plan than those who enter now
   */
  record StandsAt(
      long journey,
      String name,
      String step,
      String why,
      long enteredAt,
      long since,
      @Nullable Long until,
      boolean earlierPlan) {}

  record SentToThem(
      long outbox,
      String message,
      String channel,
      String state,
      long dueAt,
      @Nullable Long sentAt,
      @Nullable String said) {}
}
