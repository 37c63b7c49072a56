package org.opentrellis.core.replay;

/**
 * Something that really happened to a person, at a moment in epoch seconds. A message is named by
 * its journey's number, how many times the person had entered that before, and its send number.
 */
public sealed interface Happening {
  long at();

  /** What happened to a message. */
  sealed interface OfMessage extends Happening
      permits Delivered, Bounced, OpenRecorded, Opened, Clicked, Ordered {
    Sent message();
  }

  /** One message that went out to the person. */
  record Sent(int journey, int visit, int send) {}

  record Comes(long at, int journey, int trigger) implements Happening {}

  record Delivered(long at, Sent message) implements OfMessage {}

  /**
   * @param forGood whether the address is dead
   */
  record Bounced(long at, Sent message, boolean forGood) implements OfMessage {}

  record OpenRecorded(long at, Sent message) implements OfMessage {}

  record Opened(long at, Sent message) implements OfMessage {}

  record Clicked(long at, Sent message, int link) implements OfMessage {}

  record Ordered(long at, Sent message, int offer, long cents) implements OfMessage {}

  record Bought(long at, int offer, long cents) implements Happening {}

  record Experienced(long at, int event) implements Happening {}

  record Unsubscribed(long at) implements Happening {}

  record Complained(long at) implements Happening {}
}
