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
  final long[] byVariant;

  EmailTally(int variants, int links) {
    byLink = new long[variants][links];
    byVariant = new long[variants];
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
    StepTally.add(byVariant, other.byVariant);
    for (int i = 0; i < byLink.length; i++) {
      StepTally.add(byLink[i], other.byLink[i]);
    }
  }

  public long sent() {
    return Arrays.stream(byVariant).sum();
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
    return byVariant.clone();
  }

  /** Clicks of a variant by link, in the message's order. */
  public long[] byLink(int variant) {
    return byLink[variant].clone();
  }
}
