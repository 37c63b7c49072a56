package org.opentrellis.bench;

import umontreal.ssj.probdist.BetaDist;
import umontreal.ssj.probdist.LognormalDist;
import umontreal.ssj.randvar.BetaGen;
import umontreal.ssj.randvar.LognormalGen;
import umontreal.ssj.randvar.RandomVariateGen;
import umontreal.ssj.rng.RandomStream;
import umontreal.ssj.simevents.Event;
import umontreal.ssj.simevents.Simulator;

/**
 * The same journey on a general-purpose event-list simulation, as its own examples are written: an
 * event class for each kind of thing that happens, scheduled on a simulator; its own generators of
 * variates. One person after another, so that its event list stays short, which it likes best.
 */
final class Peer {
  private final Simulator simulator = new Simulator();
  private final RandomStream stream;
  private final RandomVariateGen keenness;
  private final RandomVariateGen openDelay;
  private final RandomVariateGen clickDelay;

  private final long[] sent = new long[Reference.EMAILS];
  private long goal;

  private double theta;
  private boolean left;
  private final boolean[] opened = new boolean[Reference.EMAILS];
  private final boolean[] clicked = new boolean[Reference.EMAILS];
  private boolean waitsForClick;

  Peer(RandomStream stream) {
    this.stream = stream;
    double scale = 1 / Reference.KEENNESS_SPREAD - 1;
    keenness =
        new BetaGen(
            stream,
            new BetaDist(Reference.KEENNESS_MEAN * scale, (1 - Reference.KEENNESS_MEAN) * scale));
    openDelay =
        new LognormalGen(
            stream, new LognormalDist(Math.log(Reference.OPEN_MEDIAN), Reference.OPEN_SIGMA));
    clickDelay =
        new LognormalGen(
            stream, new LognormalDist(Math.log(Reference.CLICK_MEDIAN), Reference.CLICK_SIGMA));
  }

  Counts run(int people) {
    for (int i = 0; i < people; i++) {
      simulator.init();
      left = false;
      waitsForClick = false;
      java.util.Arrays.fill(opened, false);
      java.util.Arrays.fill(clicked, false);
      theta = keenness.nextDouble();
      new Step(0).schedule(0);
      double anyway = -Reference.BUYS_ANYWAY_MEAN * Math.log(stream.nextDouble());
      if (anyway <= Reference.GOAL_LIMIT) {
        new Buy().schedule(anyway);
      }
      new End().schedule(Reference.HORIZON);
      simulator.start();
    }
    return new Counts(sent, goal);
  }

  private void send(int email) {
    sent[email]++;
    double pulled = Reference.PULLS[email] * theta;
    if (stream.nextDouble() < pulled / (1 - theta + pulled)) {
      new Open(email).schedule(1 + openDelay.nextDouble());
    }
  }

  private final class Step extends Event {
    private final int step;

    Step(int step) {
      super(simulator);
      this.step = step;
    }

    @Override
    public void actions() {
      if (left) {
        return;
      }
      switch (step) {
        case 0 -> {
          send(0);
          new Step(1).schedule(Reference.DAY);
        }
        case 1 -> {
          if (opened[0]) {
            new Step(2).schedule(3 * Reference.DAY);
          } else {
            send(1);
            new Step(2).schedule(5 * Reference.DAY);
          }
        }
        case 2 -> {
          send(2);
          waitsForClick = true;
          new Step(3).schedule(2 * Reference.DAY);
        }
        case 3 -> {
          if (waitsForClick) {
            waitsForClick = false;
            send(4);
            new Step(4).schedule(4 * Reference.DAY);
          }
        }
        default -> {
          send(5);
          // Through with the journey; whether the goal is met is seen until its limit.
        }
      }
    }
  }

  private final class Open extends Event {
    private final int email;

    Open(int email) {
      super(simulator);
      this.email = email;
    }

    @Override
    public void actions() {
      opened[email] = true;
      if (stream.nextDouble() < Reference.UNSUBSCRIBE) {
        new Unsubscribe().schedule(1 + clickDelay.nextDouble());
      }
      if (stream.nextDouble() < Reference.CLICK) {
        new Click(email).schedule(1 + clickDelay.nextDouble());
      }
    }
  }

  private final class Click extends Event {
    private final int email;

    Click(int email) {
      super(simulator);
      this.email = email;
    }

    @Override
    public void actions() {
      clicked[email] = true;
      if (stream.nextDouble() < Reference.BUY) {
        new Buy().schedule(1 - Reference.BUY_MEAN * Math.log(stream.nextDouble()));
      }
      if (email == 2 && waitsForClick && !left) {
        waitsForClick = false;
        send(3);
        new Step(4).schedule(4 * Reference.DAY);
      }
    }
  }

  private final class Unsubscribe extends Event {
    Unsubscribe() {
      super(simulator);
    }

    @Override
    public void actions() {
      left = true;
    }
  }

  private final class Buy extends Event {
    Buy() {
      super(simulator);
    }

    @Override
    public void actions() {
      left = true;
      if (simulator.time() <= Reference.GOAL_LIMIT) {
        goal++;
        simulator.stop();
      }
    }
  }

  private final class End extends Event {
    End() {
      super(simulator);
    }

    @Override
    public void actions() {
      simulator.stop();
    }
  }
}
