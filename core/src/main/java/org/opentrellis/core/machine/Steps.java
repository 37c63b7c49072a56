package org.opentrellis.core.machine;

/**
 * What each kind of step does with somebody who stands at it: it says where they go on, or that
 * they do not, because they wait or have left.
 */
final class Steps {
  /** Instead of a node's number: the person waits at the step, or has left. */
  private static final int STAYS = Integer.MIN_VALUE;

  private Steps() {}

  /**
   * Does what the step does where a visit stands, at the visit's own moment.
   *
   * @param waited whether the person has waited here, or just got here
   */
  static void act(Visit visit, boolean waited) {
    int next = next(visit.stand(), visit, waited);
    if (next != STAYS) {
      goOn(visit, next);
    }
  }

  /** The same, and whatever follows at this instant until somebody comes in. */
  static void actOn(Visit visit, boolean waited) {
    int next = next(visit.stand(), visit, waited);
    while (next != STAYS) {
      goOn(visit, next);
      if (next == Program.END || !visit.person.entries.isEmpty()) {
        return;
      }
      visit.arrives();
      next = next(visit.stand(), visit, false);
    }
  }

  private static int next(Node node, Visit visit, boolean waited) {
    return switch (node) {
      case Node.Send send -> send(send, visit);
      case Node.Wait wait -> pause(wait, visit, waited);
      case Node.Change change -> change(change, visit);
      case Node.Branch branch -> decide(branch, visit, waited);
      case Node.WaitFor waits -> lookOut(waits, visit, waited);
      case Node.Split split ->
          take(visit, visit.outside.lot(visit.node, split.shares(), visit), split.firstOfArm());
      case Node.HandOver over -> handOver(over, visit);
      case Node.Pass pass -> pass.next();
      case Node.Finish finish -> finish.next();
    };
  }

  private static int pause(Node.Wait wait, Visit visit, boolean waited) {
    if (waited) {
      return wait.next();
    }
    long until = wait.timer().endsAt(visit);
    return until == Timer.PAST ? wait.ifPast() : waits(visit, until, Visit.NOTHING_AWAITED);
  }

  private static int waits(Visit visit, long until, Question[] orSoonerIf) {
    visit.waitUntil(until, orSoonerIf);
    return STAYS;
  }

  private static int lookOut(Node.WaitFor waits, Visit visit, boolean waited) {
    long deadline = deadline(visit, waits.atMost(), waited);
    return deadline <= visit.now || waits.awaited()[0].holds(visit, visit.now)
        ? waits.next()
        : waits(visit, deadline, waits.awaited());
  }

  private static int handOver(Node.HandOver over, Visit visit) {
    handOver(over.journey(), visit);
    return over.thenFinish() ? Program.END : over.next();
  }

  private static void handOver(int journey, Visit visit) {
    Program to = visit.person.world.current(journey);
    if (to != null) {
      visit.person.isHandedOver(
          to.number(), to.handOverEntrance(), visit.program.number(), visit.now);
    }
  }

  private static long deadline(Visit visit, Timer atMost, boolean waited) {
    return waited ? visit.until : atMost.endsAt(visit);
  }

  /** What came after the deadline does not count, even if nobody looked until now. */
  private static int decide(Node.Branch branch, Visit visit, boolean waited) {
    long deadline = deadline(visit, branch.waitUpTo(), waited);
    long asOf = waited ? Math.min(visit.now, deadline) : visit.now;
    Question[] questions = branch.questions();
    int way = 0;
    while (way < questions.length && !questions[way].holds(visit, asOf)) {
      way++;
    }
    return way == questions.length && visit.now < deadline
        ? waits(visit, deadline, questions)
        : take(visit, way, branch.firstOfArm());
  }

  private static int take(Visit visit, int way, int[] firstOfArm) {
    visit.witness.took(visit.node, way, visit);
    return firstOfArm[way];
  }

  private static int change(Node.Change change, Visit visit) {
    change.apply(visit);
    return leavesBecauseOfNews(visit) ? STAYS : change.next();
  }

  private static int send(Node.Send send, Visit visit) {
    if (!send.plain() || visit.person.world.room() != null) {
      long ready = SendRules.readyAt(visit, send);
      if (ready > visit.now) {
        return waits(visit, ready, Visit.NOTHING_AWAITED);
      }
      SkipReason skip = SendRules.skips(visit, send);
      if (skip != null) {
        visit.witness.skipped(visit.node, skip, visit);
        return send.next();
      }
      if (visit.waiting) {
        visit.witness.held(visit.node, visit.now - visit.steppedAt, visit);
      }
    }
    double[] variants = send.variants();
    int variant = variants.length == 0 ? 0 : visit.outside.lot(visit.node, variants, visit);
    Sent message = visit.sends(send.send(), variant);
    visit.person.gets(message);
    visit.witness.sent(visit.node, message);
    visit.outside.send(message);
    return leavesBecauseOfNews(visit) ? STAYS : send.next();
  }

  private static void goOn(Visit visit, int next) {
    int here = visit.node;
    visit.witness.passed(here, visit);
    visit.waiting = false;
    visit.node = next;
    if (next == Program.END) {
      visit.witness.finished(here, visit);
    }
  }

  /** Takes somebody out now if a leave rule says so. */
  static boolean leaves(Visit visit) {
    if (Exits.leavesAt(visit, visit.now) > visit.now) {
      return false;
    }
    LeaveReason reason = reason(visit);
    leaves(visit, reason);
    if (reason == LeaveReason.RULE || reason == LeaveReason.GOAL_MET) {
      changeOver(visit);
    }
    return true;
  }

  /** Whoever leaves goes on where the first leave rule says that holds now and leads anywhere. */
  private static void changeOver(Visit visit) {
    Question[] rules = visit.program.leaveRules();
    for (int rule = 0; rule < rules.length; rule++) {
      int journey = visit.program.leadsInto(rule);
      if (journey != Program.NOWHERE && rules[rule].holds(visit, visit.now)) {
        handOver(journey, visit);
        return;
      }
    }
  }

  private static LeaveReason reason(Visit visit) {
    if (visit.person.goneAt() <= visit.now) {
      return visit.person.departures.why();
    }
    return visit.program.leavesAtGoal() && Exits.metAt(visit.goal, visit, visit.now) <= visit.now
        ? LeaveReason.GOAL_MET
        : LeaveReason.RULE;
  }

  /** Takes somebody out now. */
  static void leaves(Visit visit, LeaveReason reason) {
    visit.witness.left(visit.node, reason, visit);
    visit.waiting = false;
    visit.node = Visit.OVER;
  }

  /** Whether what became known just now takes somebody out. */
  private static boolean leavesBecauseOfNews(Visit visit) {
    if (visit.seenEvidence != visit.person.evidence) {
      Exits.around(visit.person);
    }
    return leaves(visit);
  }
}
