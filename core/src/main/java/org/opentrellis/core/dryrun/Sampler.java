package org.opentrellis.core.dryrun;

import org.opentrellis.core.machine.Outside;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.random.Draws;
import org.opentrellis.core.random.Lot;

/**
 * Draws what people do with one journey's messages at the moment they are sent. Every draw is
 * addressed by person and purpose, a message's also by its step. Immutable.
 */
final class Sampler implements Outside {
  /** A mail program that loads images by itself does so within this time. */
  private static final double PRELOAD_SECONDS = 300;

  /** Whoever would have read it by now in so many draws does not read it any more. */
  private static final int MOST_ATTEMPTS = 40;

  /** From so many draws it is known which part of those who read a message has by some time. */
  private static final int LOOKS = 16;

  private final SendDraws[] draws;
  private final long[] lots;
  private final Shop shop;

  /**
   * @param draws by version
   * @param lots the address of each step's lot
   */
  Sampler(SendDraws[] draws, long[] lots, Shop shop) {
    this.draws = draws;
    this.lots = lots;
    this.shop = shop;
  }

  @Override
  public int lot(int step, double[] ways, Visit visit) {
    return Lot.way(Draws.uniform(Traits.of(visit.person()).keyOf(visit), lots[step]), ways);
  }

  @Override
  public void send(Sent message) {
    SendDraws of = draws[message.version()];
    Visit visit = message.visit();
    Traits who = Traits.of(visit.person());
    long now = message.at();
    if (who.deadAddress && !of.text) {
      message.bounced(now);
      visit.person().bouncesForGood(now);
      return;
    }
    long own = who.keyOf(visit);
    if (Draws.happens(own, of.softBounceAt, who.group.softBounce)) {
      message.bounced(now);
      return;
    }
    message.delivered(now);
    if (who.preloads && message.tracked()) {
      double delay = PRELOAD_SECONDS * Draws.uniform(own, of.preloadDelayAt);
      message.recordsOpen(now + 1 + (long) delay);
    }
    int week = of.tiredPull == null ? 0 : emailsOfTheWeek(visit);
    // Reaction.openChance, without its division.
    double pulled = pull(of, visit, week) * who.keenness;
    if (Draws.happens(own, of.openAt, pulled, 1 - who.keenness + pulled)) {
      opens(message, of, own, week);
    }
  }

  /**
   * Draws what still becomes of a message that has arrived before the present, and that the person
   * has not read so far: draws that say otherwise are made anew.
   */
  void goesOn(Sent message, long present) {
    SendDraws of = draws[message.version()];
    Traits who = Traits.of(message.visit().person());
    double pulled = of.pull * who.keenness;
    for (int attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
      long own =
          Draws.bits(who.keyOf(message.visit()), Draws.address(Purposes.STILL_OPENS, "" + attempt));
      if (!Draws.happens(own, of.openAt, pulled, 1 - who.keenness + pulled)) {
        return;
      }
      long openAt = openAt(message, of, own);
      if (openAt > present) {
        opens(message, of, own, 0, openAt);
        return;
      }
    }
  }

  /**
   * How likely it is that somebody so keen has, or has not, read a message by the present that
   * arrived before.
   */
  double likelihood(Sent message, double keenness, long present) {
    SendDraws of = draws[message.version()];
    double pulled = of.pull * keenness;
    double opens = pulled / (1 - keenness + pulled);
    if (message.peopleOpenAt() <= present) {
      return opens;
    }
    int before = 0;
    for (int n = 0; n < LOOKS; n++) {
      before += openAt(message, of, Draws.bits(n, Purposes.STILL_OPENS)) <= present ? 1 : 0;
    }
    return 1 - opens * before / LOOKS;
  }

  private void opens(Sent message, SendDraws of, long own, int week) {
    opens(message, of, own, week, openAt(message, of, own));
  }

  private static long openAt(Sent message, SendDraws of, long own) {
    double delay = of.openDelay.draw(own, of.openDelayAt);
    long sent = message.at();
    return of.attention == null
        ? later(sent, delay)
        : Math.max(
            sent + 1,
            of.attention.after(sent, Math.min(delay, 1e9), message.visit().person().clock()));
  }

  private void opens(Sent message, SendDraws of, long own, int week, long openAt) {
    message.opens(openAt);
    long unsubscribes =
        of.tiredUnsubscribes == null
            ? of.unsubscribes
            : tired(of.unsubscribe, of.tiredUnsubscribes, week);
    if (Draws.happens(own, of.unsubscribeAt, unsubscribes)) {
      message.unsubscribes(afterOpen(openAt, own, of.unsubscribeDelayAt, of));
    }
    if (Draws.happens(own, of.complaintAt, of.complains)) {
      message.visit().person().complains(openAt + 1);
    }
    if (Draws.happens(own, of.clickAt, of.clicks)) {
      clicks(message, of, own, openAt);
    }
  }

  private void clicks(Sent message, SendDraws of, long own, long openAt) {
    long clickAt = afterOpen(openAt, own, of.clickDelayAt, of);
    message.clicks(of.link(own), clickAt);
    if (Draws.happens(own, of.buyAt, of.buys)) {
      message.orders(
          later(clickAt, Draws.exponential(own, of.buyDelayAt, of.buyMeanSeconds)),
          shop.offer(own, of.offerAt),
          shop.cents(own, of.orderValueAt));
    }
  }

  private static double pull(SendDraws draws, Visit visit, int week) {
    double pull = draws.tiredPull == null ? draws.pull : draws.pull * draws.tiredPull.of(week);
    return pull * draws.fading.of(gotBefore(draws, visit));
  }

  /** How many emails of the journey the person has got before the message that just arrived. */
  private static int gotBefore(SendDraws draws, Visit visit) {
    return draws.text ? visit.emailsGot() : visit.emailsGot() - 1;
  }

  /** The emails of the last seven days, this one too. */
  private static int emailsOfTheWeek(Visit visit) {
    return visit.person().emailsSince(visit.now() - Person.WEEK);
  }

  private static long tired(double unsubscribes, Powers tired, int week) {
    return Draws.cells(Math.min(1, unsubscribes * tired.of(week)));
  }

  private static long afterOpen(long openAt, long own, long address, SendDraws draws) {
    return later(openAt, draws.clickDelay.draw(own, address));
  }

  /** At least a second later, and at most some thirty years. */
  static long later(long moment, double seconds) {
    return moment + 1 + (seconds < 1e9 ? (long) seconds : 1_000_000_000L);
  }
}
