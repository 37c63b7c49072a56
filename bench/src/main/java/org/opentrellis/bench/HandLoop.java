package org.opentrellis.bench;

import org.opentrellis.core.random.Draws;
import org.opentrellis.core.random.QuantileTable;

/**
 * The same journey written out by hand as one loop, with addressed draws and tables: what it costs
 * when nothing has to be general.
 */
final class HandLoop {
  private static final long NEVER = Long.MAX_VALUE;
  private static final long UNSUBSCRIBES = Draws.cells(Reference.UNSUBSCRIBE);
  private static final long CLICKS = Draws.cells(Reference.CLICK);
  private static final long BUYS = Draws.cells(Reference.BUY);

  private final QuantileTable keenness;
  private final QuantileTable openDelay =
      QuantileTable.logNormal(Reference.OPEN_MEDIAN, Reference.OPEN_SIGMA);
  private final QuantileTable clickDelay =
      QuantileTable.logNormal(Reference.CLICK_MEDIAN, Reference.CLICK_SIGMA);
  private final long[] entered = new long[Reference.STEPS];
  private long goal;

  private long key;
  private double theta;
  private long leavesAt;
  private long buysAt;
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
      leavesAt = NEVER;
      double anyway = Draws.exponential(key, 7, Reference.BUYS_ANYWAY_MEAN);
      buysAt = anyway <= Reference.GOAL_LIMIT ? 1 + (long) anyway : NEVER;
      walk();
      goal += buysAt <= Reference.GOAL_LIMIT ? 1 : 0;
    }
    return new Counts(entered, goal);
  }

  private void walk() {
    long day = (long) Reference.DAY;
    entered[Reference.TAG_0]++;
    if (leavesAtOnce(Reference.EMAIL_0, 0, 0)) {
      return;
    }
    entered[Reference.WAIT_0]++;
    long now = day;
    if (gone(now)) {
      return;
    }
    entered[Reference.OPENED_FIRST]++;
    if (openAt > now) {
      if (leavesAtOnce(Reference.EMAIL_1, 1, now)) {
        return;
      }
      entered[Reference.WAIT_1]++;
      now += 2 * day;
      if (gone(now)) {
        return;
      }
    } else {
      entered[Reference.TAG_1]++;
    }
    entered[Reference.WAIT_2]++;
    now += 3 * day;
    if (gone(now) || leavesAtOnce(Reference.EMAIL_2, 2, now)) {
      return;
    }
    entered[Reference.CLICKED]++;
    long deadline = now + 2 * day;
    boolean clicks = clickAt <= deadline;
    now = clicks ? clickAt : deadline;
    if (gone(now)
        || leavesAtOnce(clicks ? Reference.EMAIL_3 : Reference.EMAIL_4, clicks ? 3 : 4, now)) {
      return;
    }
    entered[Reference.WAIT_3]++;
    now += 4 * day;
    if (gone(now) || leavesAtOnce(Reference.EMAIL_5, 5, now)) {
      return;
    }
    entered[Reference.TAG_2]++;
  }

  private boolean leavesAtOnce(int step, int email, long now) {
    entered[step]++;
    send(email, now);
    return gone(now);
  }

  private boolean gone(long now) {
    return Math.min(leavesAt, buysAt) <= now;
  }

  private void send(int email, long now) {
    openAt = NEVER;
    clickAt = NEVER;
    long base = 100L * (email + 1);
    double pulled = Reference.PULLS[email] * theta;
    if (!Draws.happens(key, base, Draws.wholeCells(pulled / (1 - theta + pulled)))) {
      return;
    }
    openAt = now + 1 + (long) openDelay.draw(key, base + 1);
    if (Draws.happens(key, base + 2, UNSUBSCRIBES)) {
      leavesAt = Math.min(leavesAt, openAt + 1 + (long) clickDelay.draw(key, base + 3));
    }
    if (Draws.happens(key, base + 4, CLICKS)) {
      clickAt = openAt + 1 + (long) clickDelay.draw(key, base + 5);
      if (Draws.happens(key, base + 6, BUYS)) {
        double delay = Draws.exponential(key, base + 7, Reference.BUY_MEAN);
        buysAt = Math.min(buysAt, clickAt + 1 + (long) delay);
      }
    }
  }
}
