package org.opentrellis.core.dryrun;

import org.opentrellis.core.machine.Person;

/**
 * What becomes of one email of a plain journey. Times are epoch seconds, {@link Person#NEVER} where
 * something does not happen. Mutable and reused, for speed.
 */
final class PlainMail {
  /** Whether it records opens. */
  final boolean tracked;

  long sentAt;
  long deliveredAt;
  long bouncedAt;
  long recordedOpenAt;
  long peopleOpenAt;
  long clickAt;

  /** The slot of the link that was clicked. */
  int clickSlot;

  PlainMail(boolean tracked) {
    this.tracked = tracked;
    forget();
  }

  /** It has not gone out. */
  void forget() {
    sentAt = Person.NEVER;
    deliveredAt = Person.NEVER;
    bouncedAt = Person.NEVER;
    recordedOpenAt = Person.NEVER;
    peopleOpenAt = Person.NEVER;
    clickAt = Person.NEVER;
  }
}
