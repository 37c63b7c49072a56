package org.opentrellis.core.dryrun;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.behaviour.Tiredness;
import org.opentrellis.core.machine.Outside;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.random.Draws;

/**
 * Draws what one person after another does with each message at the moment it is sent. Every draw
 * is addressed by person and purpose, a message's also by its step.
 */
final class Sampler implements Outside {
  /** A mail program that loads images by itself does so within this time. */
  private static final double PRELOAD_SECONDS = 300;

  private static final long WEEK_SECONDS = 7 * 86_400L;

  private final Cohort cohort;

  Sampler(Cohort cohort) {
    this.cohort = cohort;
  }

  @Override
  public int lot(int step, double[] ways, Visit visit) {
    long key = Traits.of(visit.person()).keyOf(visit);
    double u = Draws.uniform(key, cohort.lotAddress(visit.program().number(), step));
    int way = 0;
    while (way < ways.length - 1 && u >= ways[way]) {
      way++;
    }
    return way;
  }

  @Override
  public void send(int send, Visit visit) {
    SendDraws draws = cohort.draws(visit.program().number(), send, visit.sent(send).variant());
    Traits who = Traits.of(visit.person());
    long now = visit.now();
    if (who.deadAddress && !draws.text) {
      visit.bounced(send, now);
      visit.person().bouncesForGood(now);
      return;
    }
    long own = who.keyOf(visit);
    if (Traits.happens(own, draws.softBounceAt, who.group.softBounce)) {
      visit.bounced(send, now);
      return;
    }
    visit.delivered(send, now);
    if (who.preloads && visit.program().tracksOpens(send)) {
      double delay = PRELOAD_SECONDS * Draws.uniform(own, draws.preloadDelayAt);
      visit.recordsOpen(send, now + 1 + (long) delay);
    }
    double excess = draws.tiredness == null ? 0 : excess(draws.tiredness, visit);
    double u = Draws.uniform(own, draws.openAt);
    if (Reaction.opens(pull(draws, visit, excess), who.keenness, u)) {
      opens(send, draws, visit, own, excess);
    }
  }

  private void opens(int send, SendDraws draws, Visit visit, long own, double excess) {
    double delay = draws.openDelay.at(Draws.uniform(own, draws.openDelayAt));
    AttentionClock attention = draws.attention;
    long openAt =
        attention == null
            ? later(visit.now(), delay)
            : Math.max(
                visit.now() + 1,
                attention.after(visit.now(), Math.min(delay, 1e9), visit.person().clock()));
    visit.opens(send, openAt);
    double unsubscribe =
        draws.tiredness == null
            ? draws.unsubscribe
            : draws.unsubscribe * Math.pow(draws.tiredness.unsubscribeFactor().value(), excess);
    if (Traits.happens(own, draws.unsubscribeAt, unsubscribe)) {
      visit.unsubscribes(send, afterOpen(openAt, own, draws.unsubscribeDelayAt, draws));
    }
    if (Traits.happens(own, draws.complaintAt, draws.complaint)) {
      visit.person().complains(openAt + 1);
    }
    if (Traits.happens(own, draws.clickAt, draws.click)) {
      clicks(send, draws, visit, own, openAt);
    }
  }

  private void clicks(int send, SendDraws draws, Visit visit, long own, long openAt) {
    long clickAt = afterOpen(openAt, own, draws.clickDelayAt, draws);
    visit.clicks(send, draws.link(own), clickAt);
    if (Traits.happens(own, draws.buyAt, draws.buy)) {
      Shop shop = cohort.shop();
      visit.orders(
          send,
          later(clickAt, Draws.exponential(own, draws.buyDelayAt, draws.buyMeanSeconds)),
          shop.offer(own, draws.offerAt),
          shop.cents(own, draws.orderValueAt));
    }
  }

  private static double pull(SendDraws draws, Visit visit, double excess) {
    double pull = draws.pull;
    if (draws.tiredness != null) {
      pull *= Math.pow(draws.tiredness.pullFactor().value(), excess);
    }
    return draws.fading == 1 ? pull : pull * Math.pow(draws.fading, visit.sends() - 1.0);
  }

  /** How many emails of the last seven days, this one too, are more than people like. */
  private static double excess(Tiredness tiredness, Visit visit) {
    int recent = visit.person().emailsSince(visit.now() - WEEK_SECONDS);
    return Math.max(0, recent - tiredness.emailsPerWeek().value());
  }

  private static long afterOpen(long openAt, long own, long address, SendDraws draws) {
    return later(openAt, draws.clickDelay.at(Draws.uniform(own, address)));
  }

  /** At least a second later, and at most some thirty years. */
  private static long later(long moment, double seconds) {
    return moment + 1 + (long) Math.min(1e9, seconds);
  }

  /** What a person does anyway, in the time that is looked at. */
  void background(Person person, @Nullable Long cartLeftAt, long from, long to) {
    Shop shop = cohort.shop();
    Traits who = Traits.of(person);
    GroupDraws group = who.group;
    long key = who.key;
    if (cartLeftAt != null) {
      if (Traits.happens(key, Purposes.RETURNS_TO_CART, group.group.returnsToCart().value())) {
        double mean = group.group.returnMeanHours().value() * 3600;
        long at = later(cartLeftAt, Draws.exponential(key, Purposes.RETURN_DELAY, mean));
        person.buys(at, shop.offer(key, Purposes.OFFER), shop.cents(key, Purposes.ORDER_VALUE));
      }
      return;
    }
    if (Draws.uniform(key, Purposes.BUYS_ANYWAY) < group.buysNothingBelow) {
      return;
    }
    long address = Purposes.BUYS_ANYWAY;
    double at = from + Draws.exponential(key, address, group.buysAnywayMeanSeconds);
    while (at <= to) {
      person.buys(1 + (long) at, shop.offer(key, address + 100), shop.cents(key, address + 200));
      address += 1000;
      at += Draws.exponential(key, address, group.buysAnywayMeanSeconds);
    }
  }
}
