package org.opentrellis.core.dryrun;

import org.opentrellis.core.calendar.ZoneClock;
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
    return lot(step, ways, Traits.of(visit.person()).keyOf(visit));
  }

  @Override
  public void send(Sent message) {
    SendDraws of = draws[message.version()];
    Visit visit = message.visit();
    Traits who = Traits.of(visit.person());
    long now = message.at();
    int week = of.tiredPull == null ? 0 : emailsOfTheWeek(visit);
    Response response = who.response;
    boolean responds =
        respond(
            of,
            who,
            who.keyOf(visit),
            visit.person().clock(),
            now,
            message.tracked(),
            week,
            of.text ? visit.emailsGot() : visit.emailsGot() - 1,
            response);
    if (responds && response.bounced) {
      message.bounced(now);
      if (response.forGood) {
        visit.person().bouncesForGood(now);
      }
      return;
    }
    message.delivered(now);
    if (!responds) {
      return;
    }
    if (response.preloadedAt != Person.NEVER) {
      message.recordsOpen(response.preloadedAt);
    }
    if (response.openAt != Person.NEVER) {
      reads(message, response);
    }
  }

  private static void reads(Sent message, Response response) {
    message.opens(response.openAt);
    if (response.unsubscribesAt != Person.NEVER) {
      message.unsubscribes(response.unsubscribesAt);
    }
    if (response.complainsAt != Person.NEVER) {
      message.visit().person().complains(response.complainsAt);
    }
    if (response.clickAt != Person.NEVER) {
      message.clicks(response.link, response.clickAt);
      if (response.orderAt != Person.NEVER) {
        message.orders(response.orderAt, response.offer, response.cents);
      }
    }
  }

  /** Which way a lot falls at a step for somebody with a key. */
  int lot(int step, double[] ways, long key) {
    return Lot.way(Draws.uniform(key, lots[step]), ways);
  }

  /** The draws of a version of a message. */
  SendDraws draws(int version) {
    return draws[version];
  }

  /**
   * Draws what somebody does with a message that goes out to them now.
   *
   * @param own the key of the visit's draws
   * @param clock the person's own
   * @param week the emails of the last seven days, this one too; 0 where nobody gets tired
   * @param gotBefore how many emails of the journey they have got before this message
   * @param response what they do, if they do anything
   * @return whether they do
   */
  boolean respond(
      SendDraws of,
      Traits who,
      long own,
      ZoneClock clock,
      long now,
      boolean tracked,
      int week,
      int gotBefore,
      Response response) {
    if (who.deadAddress && !of.text) {
      return response.bounces(true);
    }
    if (Draws.happens(own, of.softBounceAt, who.group.softBounce)) {
      return response.bounces(false);
    }
    boolean preloads = who.preloads && tracked;
    // Reaction.openChance, without its division.
    double pulled = pull(of, week, gotBefore) * who.keenness;
    boolean opens = Draws.happens(own, of.openAt, pulled, 1 - who.keenness + pulled);
    if (!preloads && !opens) {
      return false;
    }
    response.clear();
    if (preloads) {
      double delay = PRELOAD_SECONDS * Draws.uniform(own, of.preloadDelayAt);
      response.preloadedAt = now + 1 + (long) delay;
    }
    if (opens) {
      opens(of, own, week, openAt(of, own, now, clock), response);
    }
    return true;
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
      long openAt = openAt(of, own, message.at(), message.visit().person().clock());
      if (openAt > present) {
        opens(of, own, 0, openAt, who.response);
        reads(message, who.response);
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
    ZoneClock clock = message.visit().person().clock();
    for (int n = 0; n < LOOKS; n++) {
      before +=
          openAt(of, Draws.bits(n, Purposes.STILL_OPENS), message.at(), clock) <= present ? 1 : 0;
    }
    return 1 - opens * before / LOOKS;
  }

  private static long openAt(SendDraws of, long own, long sent, ZoneClock clock) {
    double delay = of.openDelay.draw(own, of.openDelayAt);
    return of.attention == null
        ? later(sent, delay)
        : Math.max(sent + 1, of.attention.after(sent, Math.min(delay, 1e9), clock));
  }

  private void opens(SendDraws of, long own, int week, long openAt, Response response) {
    response.reads(openAt);
    long unsubscribes =
        of.tiredUnsubscribes == null
            ? of.unsubscribes
            : tired(of.unsubscribe, of.tiredUnsubscribes, week);
    if (Draws.happens(own, of.unsubscribeAt, unsubscribes)) {
      response.unsubscribesAt = afterOpen(openAt, own, of.unsubscribeDelayAt, of);
    }
    if (Draws.happens(own, of.complaintAt, of.complains)) {
      response.complainsAt = openAt + 1;
    }
    if (Draws.happens(own, of.clickAt, of.clicks)) {
      long clickAt = afterOpen(openAt, own, of.clickDelayAt, of);
      response.clickAt = clickAt;
      response.link = of.link(own);
      if (Draws.happens(own, of.buyAt, of.buys)) {
        response.orderAt = later(clickAt, Draws.exponential(own, of.buyDelayAt, of.buyMeanSeconds));
        response.offer = shop.offer(own, of.offerAt);
        response.cents = shop.cents(own, of.orderValueAt);
      }
    }
  }

  private static double pull(SendDraws draws, int week, int gotBefore) {
    double pull = draws.tiredPull == null ? draws.pull : draws.pull * draws.tiredPull.of(week);
    return draws.fading == null ? pull : pull * draws.fading.of(gotBefore);
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
