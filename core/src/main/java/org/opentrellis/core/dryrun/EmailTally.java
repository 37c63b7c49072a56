package org.opentrellis.core.dryrun;

/** Counts of one email; people are counted once for each time it was sent to them. */
public final class EmailTally {
  long sent;
  long delivered;
  long opened;
  long openedByPeople;
  long clicked;
  final long[] byLink;

  EmailTally(int links) {
    byLink = new long[links];
  }

  void combine(EmailTally other) {
    sent += other.sent;
    delivered += other.delivered;
    opened += other.opened;
    openedByPeople += other.openedByPeople;
    clicked += other.clicked;
    StepTally.add(byLink, other.byLink);
  }

  public long sent() {
    return sent;
  }

  public long delivered() {
    return delivered;
  }

  /** Recorded opens, machine pre-loads included. */
  public long opened() {
    return opened;
  }

  public long openedByPeople() {
    return openedByPeople;
  }

  public long clicked() {
    return clicked;
  }

  /** Clicks by link, in the message's order. */
  public long[] byLink() {
    return byLink.clone();
  }
}
