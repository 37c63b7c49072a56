package org.opentrellis.bench;

import org.opentrellis.core.random.Draws;
import org.opentrellis.core.random.QuantileTable;

/**
 * The same journey written out by hand as one loop, with addressed draws and tables: what it costs
 * when nothing has to be general.
 */
final class HandLoop {
  private static final long NEVER = Long.MAX_VALUE;
  private static final long DAY = (long) Reference.DAY;
  private static final long HORIZON = Reference.HORIZON_DAYS * DAY;
  private static final long UNSUBSCRIBES = Draws.cells(Reference.UNSUBSCRIBE);
  private static final long CLICKS = Draws.cells(Reference.CLICK);
  private static final long BUYS = Draws.cells(Reference.BUY);

  private final QuantileTable keenness;
  private final QuantileTable openDelay =
      QuantileTable.logNormal(Reference.OPEN_MEDIAN, Reference.OPEN_SIGMA);
  private final QuantileTable clickDelay =
      QuantileTable.logNormal(Reference.CLICK_MEDIAN, Reference.CLICK_SIGMA);
  private final QuantileTable orderValue =
      QuantileTable.logNormal(Reference.ORDER_MEDIAN_CENTS, Reference.ORDER_SIGMA);
  private final Ledger ledger = new Ledger();

  private long key;
  private long cameAt;
  private double theta;
  private long now;

  /** How they went on from the two branches. */
  private int first;

  private int second;

  private long unsubscribesAt;
  private int unsubscribesBy;
  private final long[] sentAt = new long[Reference.EMAILS];
  private int sent;
  private boolean openedATry;
  private boolean clickedInATry;

  /** When they first buy, and how often and for how much they do until the horizon. */
  private long buysAt;

  private int orders;
  private long cents;
  private long openAt;
  private long clickAt;

  HandLoop() {
    double scale = 1 / Reference.KEENNESS_SPREAD - 1;
    keenness =
        QuantileTable.beta(Reference.KEENNESS_MEAN * scale, (1 - Reference.KEENNESS_MEAN) * scale);
  }

  Counts run(int people, long seed) {
    long run = Draws.runKey(seed);
    for (int person = 0; person < people; person++) {
      key = Draws.personKey(run, person);
      theta = keenness.draw(key, 2);
      cameAt = (long) (Reference.ARRIVAL_DAYS * Reference.DAY * Draws.uniform(key, 1));
      begins();
      buysAnyway();
      walk();
      if (unsubscribesAt <= HORIZON) {
        ledger.unsubscribes(unsubscribesBy);
      }
      if (buysAt <= Reference.GOAL_LIMIT) {
        ledger.time(cameAt, buysAt);
        ledger.meetsGoal();
      }
    }
    return ledger.counts();
  }

  private void begins() {
    unsubscribesAt = NEVER;
    buysAt = NEVER;
    orders = 0;
    cents = 0;
    sent = 0;
    openedATry = false;
    clickedInATry = false;
    first = Ledger.NO_WAY;
    second = Ledger.NO_WAY;
  }

  private void buysAnyway() {
    long address = 7;
    double at = Draws.exponential(key, address, Reference.BUYS_ANYWAY_MEAN);
    while (at <= HORIZON) {
      buys(1 + (long) at, worth(address + 1));
      address += 1000;
      at += Draws.exponential(key, address, Reference.BUYS_ANYWAY_MEAN);
    }
  }

  private long worth(long address) {
    return (long) orderValue.draw(key, address);
  }

  private void buys(long at, long worth) {
    buysAt = Math.min(buysAt, at);
    if (at <= HORIZON) {
      ledger.buys(orders, cents, worth);
      orders++;
      cents += worth;
    }
  }

  private void walk() {
    now = 0;
    ledger.time(cameAt, now);
    ledger.arrives(Reference.TAG_0);
    sends(Reference.EMAIL_0, 0);
    if (waits(Reference.WAIT_0, DAY)) {
      return;
    }
    ledger.arrives(Reference.OPENED_FIRST);
    if (openAt > now) {
      first = 2;
      sends(Reference.EMAIL_1, 1);
      if (waits(Reference.WAIT_1, 2 * DAY)) {
        return;
      }
    } else {
      first = 1;
      ledger.arrives(Reference.TAG_1);
    }
    if (waits(Reference.WAIT_2, 3 * DAY)) {
      return;
    }
    sends(Reference.EMAIL_2, 2);
    boolean clicks = clickAt <= now + 2 * DAY;
    if (waits(Reference.CLICKED, clicks ? clickAt - now : 2 * DAY)) {
      return;
    }
    second = clicks ? 1 : 2;
    if (clicks) {
      sends(Reference.EMAIL_3, 3);
    } else {
      sends(Reference.EMAIL_4, 4);
    }
    if (waits(Reference.WAIT_3, 4 * DAY)) {
      return;
    }
    sends(Reference.EMAIL_5, 5);
    ledger.arrives(Reference.TAG_2);
    ledger.ends(Ledger.End.FINISHED, Reference.TAG_2, first, second, sentAt, sent);
  }

  /** Gets to a step and stands there for a while, unless something ends the visit meanwhile. */
  private boolean waits(int step, long seconds) {
    ledger.arrives(step);
    int from = ledger.daysReached();
    long leavesAt = Math.min(unsubscribesAt, buysAt);
    boolean leaves = leavesAt <= now + seconds;
    now = leaves ? leavesAt : now + seconds;
    ledger.time(cameAt, now);
    ledger.stayed(step, from);
    if (leaves) {
      Ledger.End how = unsubscribesAt == leavesAt ? Ledger.End.UNSUBSCRIBED : Ledger.End.GOAL_MET;
      ledger.ends(how, step, first, second, sentAt, sent);
    }
    return leaves;
  }

  private void sends(int step, int email) {
    ledger.arrives(step);
    ledger.emailGoesOut();
    sentAt[sent++] = now;
    openAt = NEVER;
    clickAt = NEVER;
    long base = 100L * (email + 1);
    double pulled = Reference.PULLS[email] * theta;
    if (!Draws.happens(key, base, pulled, 1 - theta + pulled)) {
      return;
    }
    openAt = now + 1 + (long) openDelay.draw(key, base + 1);
    if (openAt <= HORIZON) {
      ledger.opens(email);
      if (email < 2 && !openedATry) {
        openedATry = true;
        ledger.opensATry();
      }
    }
    if (Draws.happens(key, base + 2, UNSUBSCRIBES)) {
      unsubscribes(email, openAt + 1 + (long) clickDelay.draw(key, base + 3));
    }
    if (Draws.happens(key, base + 4, CLICKS)) {
      clickAt = openAt + 1 + (long) clickDelay.draw(key, base + 5);
      if (clickAt <= HORIZON) {
        clicks(email, (int) (Reference.LINKS * Draws.uniform(key, base + 8)));
      }
      if (Draws.happens(key, base + 6, BUYS)) {
        double delay = Draws.exponential(key, base + 7, Reference.BUY_MEAN);
        orders(email, clickAt + 1 + (long) delay, worth(base + 9));
      }
    }
  }

  private void clicks(int email, int link) {
    ledger.clicks(email, link);
    if (email < 2 && !clickedInATry) {
      clickedInATry = true;
      ledger.clicksInATry();
    }
  }

  private void orders(int email, long at, long worth) {
    if (at <= HORIZON) {
      ledger.orders(email, worth);
    }
    buys(at, worth);
  }

  private void unsubscribes(int email, long at) {
    if (at < unsubscribesAt) {
      unsubscribesAt = at;
      unsubscribesBy = email;
    }
  }
}
