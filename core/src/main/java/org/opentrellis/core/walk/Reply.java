package org.opentrellis.core.walk;

import java.util.OptionalLong;

/**
 * What somebody does with one message. Times are seconds after it was sent; empty for never.
 *
 * @param delivered whether it arrived
 * @param deadAddress whether it came back for good
 * @param recordedOpen when the mail program loads its images
 * @param open when they read it
 * @param click when they click
 * @param link the link's number in the message; -1 if it has none
 * @param unsubscribe when they unsubscribe
 * @param complaint when they report it as unwanted
 * @param buy when they buy because of it
 * @param offer the product's number in the world, or -1
 * @param cents what they pay
 */
public record Reply(
    boolean delivered,
    boolean deadAddress,
    OptionalLong recordedOpen,
    OptionalLong open,
    OptionalLong click,
    int link,
    OptionalLong unsubscribe,
    OptionalLong complaint,
    OptionalLong buy,
    int offer,
    long cents) {

  private static final OptionalLong NEVER = OptionalLong.empty();

  /** It arrives and is not looked at. */
  public static Reply ignores() {
    return new Reply(true, false, NEVER, NEVER, NEVER, -1, NEVER, NEVER, NEVER, -1, 0);
  }

  /** They read it after some seconds. */
  public static Reply opens(long seconds) {
    OptionalLong at = OptionalLong.of(seconds);
    return new Reply(true, false, NEVER, at, NEVER, -1, NEVER, NEVER, NEVER, -1, 0);
  }
}
