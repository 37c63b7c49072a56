package org.opentrellis.core.dryrun;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.behaviour.Tiredness;
import org.opentrellis.core.random.Draws;
import org.opentrellis.core.random.QuantileTable;

/** What people do with one message, and the addresses of its draws. Immutable. */
final class SendDraws {
  final boolean text;
  final double pull;
  final double unsubscribe;

  /** Chances, in cells of a draw. */
  final long clicks;

  final long unsubscribes;
  final long complains;
  final long buys;
  final double[] linksUpTo;
  final QuantileTable openDelay;
  final QuantileTable clickDelay;
  final @Nullable AttentionClock attention;
  final double buyMeanSeconds;

  /** By the emails of the journey that they have got before; null where they do not matter. */
  final @Nullable Powers fading;

  /** What too much mail does to opening and to unsubscribing, by the emails of a week; or null. */
  final @Nullable Powers tiredPull;

  final @Nullable Powers tiredUnsubscribes;

  final long softBounceAt;
  final long openAt;
  final long openDelayAt;
  final long preloadDelayAt;
  final long clickAt;
  final long clickDelayAt;
  final long linkAt;
  final long unsubscribeAt;
  final long unsubscribeDelayAt;
  final long complaintAt;
  final long buyAt;
  final long buyDelayAt;
  final long offerAt;
  final long orderValueAt;

  /**
   * @param name addresses the draws; the same in two variants of a journey
   */
  SendDraws(
      String name,
      Reaction reaction,
      int links,
      boolean text,
      Behaviour behaviour,
      QuantileTable openDelay,
      QuantileTable clickDelay,
      @Nullable AttentionClock attention) {
    this.text = text;
    this.openDelay = openDelay;
    this.clickDelay = clickDelay;
    this.attention = text ? null : attention;
    buyMeanSeconds = behaviour.buyMeanHours().value() * 3600;
    double fades = behaviour.fading().value();
    fading = fades == 1 ? null : new Powers(fades, 0);
    Tiredness tired = behaviour.tiredness();
    tiredPull = tired.isNone() ? null : powers(tired.pullFactor(), tired);
    tiredUnsubscribes = tired.isNone() ? null : powers(tired.unsubscribeFactor(), tired);
    pull = reaction.pull().value();
    clicks = Draws.cells(reaction.clickGivenOpen().value());
    unsubscribe = reaction.unsubscribeGivenOpen().value();
    unsubscribes = Draws.cells(unsubscribe);
    complains = Draws.cells(reaction.complaintGivenOpen().value());
    buys = Draws.cells(behaviour.buyAfterClick().value());
    linksUpTo = linksUpTo(reaction, links);
    softBounceAt = Draws.address(Purposes.SOFT_BOUNCE, name);
    openAt = Draws.address(Purposes.OPEN, name);
    openDelayAt = Draws.address(Purposes.OPEN_DELAY, name);
    preloadDelayAt = Draws.address(Purposes.PRELOAD_DELAY, name);
    clickAt = Draws.address(Purposes.CLICK, name);
    clickDelayAt = Draws.address(Purposes.CLICK_DELAY, name);
    linkAt = Draws.address(Purposes.LINK, name);
    unsubscribeAt = Draws.address(Purposes.UNSUBSCRIBE, name);
    unsubscribeDelayAt = Draws.address(Purposes.UNSUBSCRIBE_DELAY, name);
    complaintAt = Draws.address(Purposes.COMPLAINT, name);
    buyAt = Draws.address(Purposes.BUY, name);
    buyDelayAt = Draws.address(Purposes.BUY_DELAY, name);
    offerAt = Draws.address(Purposes.OFFER, name);
    orderValueAt = Draws.address(Purposes.ORDER_VALUE, name);
  }

  private static Powers powers(Assumed factor, Tiredness tired) {
    return new Powers(factor.value(), tired.emailsPerWeek().value());
  }

  private static double[] linksUpTo(Reaction reaction, int links) {
    double[] upTo = new double[links];
    double sum = 0;
    double total = 0;
    for (int i = 0; i < links; i++) {
      total += weight(reaction, i);
    }
    for (int i = 0; i < links; i++) {
      sum += total > 0 ? weight(reaction, i) / total : 1.0 / links;
      upTo[i] = sum;
    }
    return upTo;
  }

  /** Links without a weight of their own weigh 1. */
  private static double weight(Reaction reaction, int link) {
    return link < reaction.linkWeights().size() ? reaction.linkWeights().get(link) : 1;
  }

  /** The link clicked; -1 if the message has none. */
  int link(long key) {
    if (linksUpTo.length < 2) {
      return linksUpTo.length - 1;
    }
    double u = Draws.uniform(key, linkAt);
    int link = 0;
    while (link < linksUpTo.length - 1 && u >= linksUpTo[link]) {
      link++;
    }
    return link;
  }
}
