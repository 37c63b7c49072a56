package org.opentrellis.bench;

import umontreal.ssj.probdist.BetaDist;
import umontreal.ssj.probdist.LognormalDist;
import umontreal.ssj.randvar.BetaGen;
import umontreal.ssj.randvar.BetaRejectionLoglogisticGen;
import umontreal.ssj.randvar.LognormalGen;
import umontreal.ssj.randvar.LognormalSpecialGen;
import umontreal.ssj.randvar.NormalACRGen;
import umontreal.ssj.randvar.RandomVariateGen;
import umontreal.ssj.rng.LFSR113;
import umontreal.ssj.rng.MRG32k3a;
import umontreal.ssj.rng.RandomStream;
import umontreal.ssj.simevents.Event;
import umontreal.ssj.simevents.Simulator;

/**
 * The same journey on a general-purpose event-list simulation, as its own examples are written: an
 * event class for each kind of thing that happens, scheduled on a simulator; its own generators of
 * variates.
 */
final class Peer {
  /** So long it takes until everybody has come. */
  private static final double ARRIVAL_SECONDS = Reference.ARRIVAL_DAYS * Reference.DAY;

  private static final double SCALE = 1 / Reference.KEENNESS_SPREAD - 1;
  private static final double ALPHA = Reference.KEENNESS_MEAN * SCALE;
  private static final double BETA = (1 - Reference.KEENNESS_MEAN) * SCALE;
  private static final double OPEN_MU = Math.log(Reference.OPEN_MEDIAN);
  private static final double CLICK_MU = Math.log(Reference.CLICK_MEDIAN);
  private static final double ORDER_MU = Math.log(Reference.ORDER_MEDIAN_CENTS);

  private final Simulator simulator;
  private final RandomStream stream;
  private final RandomVariateGen keenness;
  private final RandomVariateGen openDelay;
  private final RandomVariateGen clickDelay;
  private final RandomVariateGen orderValue;

  private final Ledger ledger = new Ledger();

  private Peer(
      Simulator simulator,
      RandomStream stream,
      RandomVariateGen keenness,
      RandomVariateGen openDelay,
      RandomVariateGen clickDelay,
      RandomVariateGen orderValue) {
    this.simulator = simulator;
    this.stream = stream;
    this.keenness = keenness;
    this.openDelay = openDelay;
    this.clickDelay = clickDelay;
    this.orderValue = orderValue;
  }

  /** As its own examples are written: its usual stream, variates by inversion. */
  static Peer usual() {
    RandomStream stream = new MRG32k3a();
    return new Peer(
        new Simulator(),
        stream,
        new BetaGen(stream, new BetaDist(ALPHA, BETA)),
        new LognormalGen(stream, new LognormalDist(OPEN_MU, Reference.OPEN_SIGMA)),
        new LognormalGen(stream, new LognormalDist(CLICK_MU, Reference.CLICK_SIGMA)),
        new LognormalGen(stream, new LognormalDist(ORDER_MU, Reference.ORDER_SIGMA)));
  }

  /** With the fastest generators that it has; of its event lists the usual one is the quickest. */
  static Peer quickest() {
    RandomStream stream = new LFSR113();
    return new Peer(
        new Simulator(),
        stream,
        new BetaRejectionLoglogisticGen(stream, ALPHA, BETA),
        new LognormalSpecialGen(new NormalACRGen(stream, OPEN_MU, Reference.OPEN_SIGMA)),
        new LognormalSpecialGen(new NormalACRGen(stream, CLICK_MU, Reference.CLICK_SIGMA)),
        new LognormalSpecialGen(new NormalACRGen(stream, ORDER_MU, Reference.ORDER_SIGMA)));
  }

  /** Everybody in one simulation, as a population is simulated with an event list. */
  Counts together(int people) {
    simulator.init();
    for (int i = 0; i < people; i++) {
      new Someone().comes(Math.floor(ARRIVAL_SECONDS * i / people));
    }
    simulator.start();
    return ledger.counts();
  }

  /** Each in a simulation of their own, which keeps the event list short; no one may meet. */
  Counts oneByOne(int people) {
    for (int i = 0; i < people; i++) {
      simulator.init();
      new Someone().comes(Math.floor(ARRIVAL_SECONDS * i / people));
      simulator.start();
    }
    return ledger.counts();
  }

  private final class Someone {
    private final double theta = keenness.nextDouble();
    private double cameAt;
    private boolean gone;
    private boolean bought;
    private boolean unsubscribed;
    private boolean openedATry;
    private boolean clickedInATry;
    private int orders;
    private long cents;
    private final long[] sentAt = new long[Reference.EMAILS];
    private int sent;
    private boolean openedFirst;
    private boolean waitsForClick;

    /** Where they stand, and since which day. */
    private int stand;

    private int standsFrom;

    /** How they went on from the two branches. */
    private int first = Ledger.NO_WAY;

    private int second = Ledger.NO_WAY;

    void comes(double at) {
      cameAt = at;
      new Step(this, Reference.TAG_0).schedule(at);
      buysAnyway(at);
    }

    void buysAnyway(double from) {
      double next = from - Reference.BUYS_ANYWAY_MEAN * Math.log(stream.nextDouble());
      if (next <= cameAt + Reference.HORIZON_DAYS * Reference.DAY) {
        new BuyAnyway(this).schedule(next - simulator.time());
      }
    }

    /** Something happens to them now. */
    void now() {
      ledger.time((long) cameAt, (long) (simulator.time() - cameAt));
    }

    boolean isFollowed() {
      return simulator.time() <= cameAt + Reference.HORIZON_DAYS * Reference.DAY;
    }

    void isSent(int step, int email) {
      ledger.arrives(step);
      ledger.emailGoesOut();
      sentAt[sent++] = (long) (simulator.time() - cameAt);
      double pulled = Reference.PULLS[email] * theta;
      if (stream.nextDouble() < pulled / (1 - theta + pulled)) {
        new Open(this, email).schedule(1 + openDelay.nextDouble());
      }
    }

    void stands(int step) {
      ledger.arrives(step);
      stand = step;
      standsFrom = ledger.daysReached();
    }

    void goesOn() {
      ledger.stayed(stand, standsFrom);
    }

    /** Leaves the journey, unless it is over for them. */
    void leaves(Ledger.End why) {
      if (!gone) {
        gone = true;
        now();
        goesOn();
        ledger.ends(why, stand, first, second, sentAt, sent);
      }
    }

    void buys(long worth) {
      leaves(Ledger.End.GOAL_MET);
      if (!isFollowed()) {
        return;
      }
      ledger.buys(orders, cents, worth);
      orders++;
      cents += worth;
      if (!bought && simulator.time() <= cameAt + Reference.GOAL_LIMIT) {
        bought = true;
        now();
        ledger.meetsGoal();
      }
    }

    void finishes() {
      gone = true;
      ledger.ends(Ledger.End.FINISHED, Reference.TAG_2, first, second, sentAt, sent);
    }
  }

  private final class Step extends Event {
    private final Someone who;
    private final int step;

    Step(Someone who, int step) {
      super(simulator);
      this.who = who;
      this.step = step;
    }

    @Override
    public void actions() {
      if (who.gone || step == Reference.EMAIL_4 && !who.waitsForClick) {
        return;
      }
      who.now();
      if (step != Reference.TAG_0) {
        who.goesOn();
      }
      switch (step) {
        case Reference.TAG_0 -> {
          ledger.arrives(Reference.TAG_0);
          who.isSent(Reference.EMAIL_0, 0);
          waits(Reference.WAIT_0, 1, Reference.OPENED_FIRST);
        }
        case Reference.OPENED_FIRST -> {
          ledger.arrives(Reference.OPENED_FIRST);
          who.first = who.openedFirst ? 1 : 2;
          if (who.openedFirst) {
            ledger.arrives(Reference.TAG_1);
            waits(Reference.WAIT_2, 3, Reference.EMAIL_2);
          } else {
            who.isSent(Reference.EMAIL_1, 1);
            waits(Reference.WAIT_1, 2, Reference.WAIT_2);
          }
        }
        case Reference.WAIT_2 -> waits(Reference.WAIT_2, 3, Reference.EMAIL_2);
        case Reference.EMAIL_2 -> {
          who.isSent(Reference.EMAIL_2, 2);
          who.waitsForClick = true;
          waits(Reference.CLICKED, 2, Reference.EMAIL_4);
        }
        case Reference.EMAIL_4 -> {
          who.waitsForClick = false;
          who.second = 2;
          who.isSent(Reference.EMAIL_4, 4);
          waits(Reference.WAIT_3, 4, Reference.EMAIL_5);
        }
        default -> {
          who.isSent(Reference.EMAIL_5, 5);
          ledger.arrives(Reference.TAG_2);
          who.finishes();
        }
      }
    }

    private void waits(int at, int days, int next) {
      who.stands(at);
      new Step(who, next).schedule(days * Reference.DAY);
    }
  }

  private final class Open extends Event {
    private final Someone who;
    private final int email;

    Open(Someone who, int email) {
      super(simulator);
      this.who = who;
      this.email = email;
    }

    @Override
    public void actions() {
      if (who.isFollowed()) {
        ledger.opens(email);
        if (email < 2 && !who.openedATry) {
          who.openedATry = true;
          ledger.opensATry();
        }
      }
      who.openedFirst |= email == 0;
      if (stream.nextDouble() < Reference.UNSUBSCRIBE) {
        new Unsubscribe(who, email).schedule(1 + clickDelay.nextDouble());
      }
      if (stream.nextDouble() < Reference.CLICK) {
        new Click(who, email).schedule(1 + clickDelay.nextDouble());
      }
    }
  }

  private final class Click extends Event {
    private final Someone who;
    private final int email;

    Click(Someone who, int email) {
      super(simulator);
      this.who = who;
      this.email = email;
    }

    @Override
    public void actions() {
      if (who.isFollowed()) {
        ledger.clicks(email, (int) (Reference.LINKS * stream.nextDouble()));
        if (email < 2 && !who.clickedInATry) {
          who.clickedInATry = true;
          ledger.clicksInATry();
        }
      }
      if (stream.nextDouble() < Reference.BUY) {
        new Order(who, email).schedule(1 - Reference.BUY_MEAN * Math.log(stream.nextDouble()));
      }
      if (email == 2 && who.waitsForClick && !who.gone) {
        who.now();
        who.goesOn();
        who.waitsForClick = false;
        who.second = 1;
        who.isSent(Reference.EMAIL_3, 3);
        who.stands(Reference.WAIT_3);
        new Step(who, Reference.EMAIL_5).schedule(4 * Reference.DAY);
      }
    }
  }

  private final class Unsubscribe extends Event {
    private final Someone who;
    private final int email;

    Unsubscribe(Someone who, int email) {
      super(simulator);
      this.who = who;
      this.email = email;
    }

    @Override
    public void actions() {
      if (!who.unsubscribed && who.isFollowed()) {
        who.unsubscribed = true;
        ledger.unsubscribes(email);
      }
      who.leaves(Ledger.End.UNSUBSCRIBED);
    }
  }

  private final class Order extends Event {
    private final Someone who;
    private final int email;

    Order(Someone who, int email) {
      super(simulator);
      this.who = who;
      this.email = email;
    }

    @Override
    public void actions() {
      long worth = (long) orderValue.nextDouble();
      if (who.isFollowed()) {
        ledger.orders(email, worth);
      }
      who.buys(worth);
    }
  }

  private final class BuyAnyway extends Event {
    private final Someone who;

    BuyAnyway(Someone who) {
      super(simulator);
      this.who = who;
    }

    @Override
    public void actions() {
      who.buys((long) orderValue.nextDouble());
      who.buysAnyway(simulator.time());
    }
  }
}
