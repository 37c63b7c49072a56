package org.opentrellis.core.dryrun;

import java.util.Arrays;

/** Counts of one message sent by one step; people are counted once for each time it was sent. */
public final class EmailTally {
  long bounced;
  long opened;
  long openedByPeople;
  long clicked;
  long buyers;
  long revenueCents;
  long unsubscribed;
  long afterGoal;
  final long[][] byLink;
  private final long[] sentByVersion;
  private final int firstVersion;

  /**
   * @param sentByVersion counts what is sent, of the whole journey
   * @param firstVersion where this message's variants begin there
   */
  EmailTally(long[] sentByVersion, int firstVersion, int variants, int links) {
    this.sentByVersion = sentByVersion;
    this.firstVersion = firstVersion;
    byLink = new long[variants][links];
  }

  void combine(EmailTally other) {
    bounced += other.bounced;
    opened += other.opened;
    openedByPeople += other.openedByPeople;
    clicked += other.clicked;
    buyers += other.buyers;
    revenueCents += other.revenueCents;
    unsubscribed += other.unsubscribed;
    afterGoal += other.afterGoal;
    for (int i = 0; i < byLink.length; i++) {
      StepTally.add(byLink[i], other.byLink[i]);
    }
  }

  /** What was sent is counted with the journey. */
  void counts(Counts counts) {
    bounced = counts.of(bounced);
    opened = counts.of(opened);
    openedByPeople = counts.of(openedByPeople);
    clicked = counts.of(clicked);
    buyers = counts.of(buyers);
    revenueCents = counts.of(revenueCents);
    unsubscribed = counts.of(unsubscribed);
    afterGoal = counts.of(afterGoal);
    for (long[] links : byLink) {
      counts.of(links);
    }
  }

  public long sent() {
    return Arrays.stream(byVariant()).sum();
  }

  /** A message either arrives or comes back, at once. */
  public long delivered() {
    return sent() - bounced;
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

  /** People who bought because of a click in it. */
  public long buyers() {
    return buyers;
  }

  public long revenueCents() {
    return revenueCents;
  }

  /** People who unsubscribed because of it. */
  public long unsubscribed() {
    return unsubscribed;
  }

  /** Sent to people who had met the goal before. */
  public long afterGoal() {
    return afterGoal;
  }

  /** How often each variant was sent; one number if there is but one version. */
  public long[] byVariant() {
    return Arrays.copyOfRange(sentByVersion, firstVersion, firstVersion + byLink.length);
  }

  /** Clicks of a variant by link, in the message's order. */
  public long[] byLink(int variant) {
    return byLink[variant].clone();
  }
}
