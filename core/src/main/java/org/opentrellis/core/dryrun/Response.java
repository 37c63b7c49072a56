package org.opentrellis.core.dryrun;

import org.opentrellis.core.machine.Person;

/**
 * What somebody does with one message. Times are epoch seconds, {@link Person#NEVER} where it does
 * not happen. Mutable and reused, for speed.
 */
final class Response {
  boolean bounced;

  /** Whether nothing ever arrives there. */
  boolean forGood;

  /** When the mail program loads the images by itself. */
  long preloadedAt;

  long openAt;
  long unsubscribesAt;
  long complainsAt;
  long clickAt;

  /** Means nothing without a click; -1 if the message has none. */
  int link;

  long orderAt;

  /** These mean nothing without an order. */
  int offer;

  long cents;

  void clear() {
    bounced = false;
    forGood = false;
    preloadedAt = Person.NEVER;
    reads(Person.NEVER);
  }

  /** The message comes back. */
  boolean bounces(boolean everyOne) {
    clear();
    bounced = true;
    forGood = everyOne;
    return true;
  }

  /** Reads it, and nothing more yet. */
  void reads(long at) {
    openAt = at;
    unsubscribesAt = Person.NEVER;
    complainsAt = Person.NEVER;
    clickAt = Person.NEVER;
    orderAt = Person.NEVER;
  }
}
