package org.opentrellis.core.dryrun;

import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Postbox;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.random.Draws;
import org.opentrellis.core.random.QuantileTable;

/**
 * Draws one person after another, and what they do with each email at the moment it is sent. Every
 * draw is addressed by person and purpose, an email's also by its step.
 */
final class Sampler implements Postbox {
  /** A mail program that loads images by itself does so within this time. */
  private static final double PRELOAD_SECONDS = 300;

  private final Behaviour behaviour;
  private final Audience audience;
  private final QuantileTable normal;
  private final EmailDraws[] emails;

  private long key;
  private Audience.Ready group;
  private double keenness;
  private boolean preloads;
  private boolean deadAddress;

  Sampler(Program program, Behaviour behaviour, Audience audience, QuantileTable normal) {
    this.behaviour = behaviour;
    this.audience = audience;
    this.normal = normal;
    this.emails = new EmailDraws[program.emails().size()];
    for (int i = 0; i < emails.length; i++) {
      var step = program.emails().get(i).id();
      emails[i] = new EmailDraws(step.value(), behaviour.reactionTo(step), program.linkCount(i));
    }
    this.group = audience.groupOf(0);
  }

  /** Draws who a person is. */
  void become(long personKey) {
    key = personKey;
    group = audience.groupOf(key);
    keenness = group.keenness().at(Draws.uniform(key, Purposes.KEENNESS));
    preloads = happens(Purposes.PRELOADS, group.group().preloads().value());
    deadAddress = happens(Purposes.DEAD_ADDRESS, group.group().hardBounce().value());
  }

  Audience.Ready group() {
    return group;
  }

  /** The tag or list that brings the person in, or -1 if they are put in by hand. */
  int triggerMark() {
    return audience.triggerMark(key);
  }

  /** When the person first comes, in seconds since the cohort's start. */
  long arrival(long spreadSeconds) {
    return (long) (Draws.uniform(key, Purposes.ARRIVAL) * spreadSeconds);
  }

  /** Moves on to the draws of a later pass of the same person. */
  void passAgain(int pass) {
    key = Draws.bits(key, Draws.address(Purposes.PASS, Integer.toString(pass)));
  }

  /** Seconds until the person triggers the journey once more; huge if never. */
  double comesAgainAfter() {
    return Draws.exponential(key, Purposes.COMES_AGAIN, group.comesAgainMeanSeconds());
  }

  /** Notes when the person would buy without any email. */
  void buysAnyway(PersonState person) {
    double delay = Draws.exponential(key, Purposes.BUYS_ANYWAY, group.buysAnywayMeanSeconds());
    if (delay < 1e9) {
      person.buys(person.entryAt() + (long) delay);
    }
  }

  @Override
  public void send(int number, PersonState person) {
    long now = person.now();
    if (deadAddress) {
      person.bouncesForGood(now);
      return;
    }
    EmailDraws email = emails[number];
    if (email.happens(key, email.softBounce, group.group().softBounce().value())) {
      return;
    }
    person.delivered(number, now);
    if (preloads) {
      double delay = PRELOAD_SECONDS * Draws.uniform(key, email.preloadDelay);
      person.recordsOpen(number, now + (long) delay);
    }
    if (!email.happens(key, email.open, email.reaction.openChance(keenness))) {
      return;
    }
    long openAt =
        now + lognormal(email.openDelay, behaviour.openMedianHours().value() * 3600, sigmaOpen());
    person.opens(number, openAt);
    if (email.happens(key, email.unsubscribe, email.reaction.unsubscribeGivenOpen().value())) {
      person.unsubscribes(openAt + afterOpen(email.unsubscribeDelay));
    }
    if (email.happens(key, email.click, email.reaction.clickGivenOpen().value())) {
      long clickAt = openAt + afterOpen(email.clickDelay);
      person.clicks(number, email.link(key), clickAt);
      if (email.happens(key, email.buy, behaviour.buyAfterClick().value())) {
        double mean = behaviour.buyMeanHours().value() * 3600;
        person.buys(clickAt + (long) Draws.exponential(key, email.buyDelay, mean));
      }
    }
  }

  private boolean happens(int purpose, double chance) {
    return Draws.uniform(key, purpose) < chance;
  }

  private double sigmaOpen() {
    return behaviour.openSigma().value();
  }

  private long afterOpen(long address) {
    double median = behaviour.clickMedianMinutes().value() * 60;
    return lognormal(address, median, behaviour.clickSigma().value());
  }

  /** A lognormal delay in whole seconds, at most some thirty years. */
  private long lognormal(long address, double medianSeconds, double sigma) {
    double z = normal.at(Draws.uniform(key, address));
    return (long) Math.min(1e9, medianSeconds * Math.exp(sigma * z));
  }

  /** The addresses of one email's draws. */
  private static final class EmailDraws {
    final Reaction reaction;
    final int links;
    final long softBounce;
    final long open;
    final long openDelay;
    final long preloadDelay;
    final long click;
    final long clickDelay;
    final long link;
    final long unsubscribe;
    final long unsubscribeDelay;
    final long buy;
    final long buyDelay;

    EmailDraws(String step, Reaction reaction, int links) {
      this.reaction = reaction;
      this.links = links;
      softBounce = Draws.address(Purposes.SOFT_BOUNCE, step);
      open = Draws.address(Purposes.OPEN, step);
      openDelay = Draws.address(Purposes.OPEN_DELAY, step);
      preloadDelay = Draws.address(Purposes.PRELOAD_DELAY, step);
      click = Draws.address(Purposes.CLICK, step);
      clickDelay = Draws.address(Purposes.CLICK_DELAY, step);
      link = Draws.address(Purposes.LINK, step);
      unsubscribe = Draws.address(Purposes.UNSUBSCRIBE, step);
      unsubscribeDelay = Draws.address(Purposes.UNSUBSCRIBE_DELAY, step);
      buy = Draws.address(Purposes.BUY, step);
      buyDelay = Draws.address(Purposes.BUY_DELAY, step);
    }

    boolean happens(long key, long address, double chance) {
      return Draws.uniform(key, address) < chance;
    }

    /** The link clicked: all links of a message draw alike. */
    int link(long key) {
      return links == 0 ? -1 : (int) (Draws.uniform(key, link) * links);
    }
  }
}
