package org.opentrellis.core.machine;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;

/** What each kind of step does with somebody who stands at it: they go on, wait or leave. */
final class Steps {
  private Steps() {}

  /**
   * Does what the step does where a visit stands, at the visit's own moment.
   *
   * @param waited whether the person has waited here, or just got here
   */
  static void act(Visit visit, boolean waited) {
    Node node = visit.stand();
    if (node instanceof Node.Send send) {
      send(send, visit);
    } else if (node instanceof Node.Wait wait) {
      pause(wait, visit, waited);
    } else if (node instanceof Node.Change change) {
      change(change, visit);
    } else if (node instanceof Node.Branch branch) {
      decide(branch, visit, waited);
    } else if (node instanceof Node.WaitFor waits) {
      lookOut(waits, visit, waited);
    } else if (node instanceof Node.Split split) {
      take(visit, visit.outside.lot(visit.node, split.shares(), visit), split.firstOfArm());
    } else if (node instanceof Node.HandOver over) {
      handOver(over, visit);
    } else {
      goOn(visit, node.next());
    }
  }

  private static void pause(Node.Wait wait, Visit visit, boolean waited) {
    if (waited) {
      goOn(visit, wait.next());
      return;
    }
    long until = wait.timer().endsAt(visit);
    if (until == Timer.PAST) {
      goOn(visit, wait.ifPast());
    } else {
      visit.waitUntil(until, Visit.NOTHING_AWAITED);
    }
  }

  private static void lookOut(Node.WaitFor waits, Visit visit, boolean waited) {
    long deadline = deadline(visit, waits.atMost(), waited);
    if (deadline <= visit.now || waits.awaited()[0].holds(visit, visit.now)) {
      goOn(visit, waits.next());
    } else {
      visit.waitUntil(deadline, waits.awaited());
    }
  }

  private static void handOver(Node.HandOver over, Visit visit) {
    if (over.program() >= 0) {
      visit.person.isHandedOver(over.program(), over.trigger(), visit.program.number(), visit.now);
    }
    goOn(visit, over.thenFinish() ? Program.END : over.next());
  }

  private static long deadline(Visit visit, @Nullable Amount atMost, boolean waited) {
    if (waited) {
      return visit.until;
    }
    return atMost == null ? visit.now : atMost.after(visit.now, visit.clock);
  }

  private static void decide(Node.Branch branch, Visit visit, boolean waited) {
    long deadline = deadline(visit, branch.waitUpTo(), waited);
    Question[] questions = branch.questions();
    int way = 0;
    while (way < questions.length && !questions[way].holds(visit, visit.now)) {
      way++;
    }
    if (way == questions.length && visit.now < deadline) {
      visit.waitUntil(deadline, questions);
    } else {
      take(visit, way, branch.firstOfArm());
    }
  }

  private static void take(Visit visit, int way, int[] firstOfArm) {
    visit.witness.took(visit.node, way, visit);
    goOn(visit, firstOfArm[way]);
  }

  private static void change(Node.Change change, Visit visit) {
    Reactions reactions = visit.person.reactions;
    long before = reactions.toSegments() ? reactions.segments(visit) : 0;
    for (RecordEdit edit : change.edits()) {
      edit.apply(visit.person, visit.now);
    }
    if (reactions.toSegments()) {
      reactions.toSegments(visit.person, before, reactions.segments(visit), visit.now);
    }
    if (!leavesBecauseOfNews(visit)) {
      goOn(visit, change.next());
    }
  }

  private static void send(Node.Send send, Visit visit) {
    if (!send.plain() && !isReady(visit, send)) {
      return;
    }
    double[] variants = send.variants();
    int variant = variants.length == 0 ? 0 : visit.outside.lot(visit.node, variants, visit);
    Sent message = visit.sends(send.send(), variant);
    visit.person.gets(message);
    visit.witness.sent(visit.node, message);
    visit.outside.send(message);
    if (!leavesBecauseOfNews(visit)) {
      goOn(visit, send.next());
    }
  }

  /** Whether a message may go out now; if not, the person has gone on, or waits. */
  private static boolean isReady(Visit visit, Node.Send send) {
    SkipReason skip = SendRules.skips(visit, send);
    if (skip != null) {
      visit.witness.skipped(visit.node, skip, visit);
      goOn(visit, send.next());
      return false;
    }
    long ready = SendRules.readyAt(visit, send);
    if (ready > visit.now) {
      visit.waitUntil(ready, Visit.NOTHING_AWAITED);
      return false;
    }
    if (visit.waiting) {
      visit.witness.held(visit.node, visit.now - visit.steppedAt, visit);
    }
    return true;
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
    if (Lookout.leavesAt(visit, visit.now) > visit.now) {
      return false;
    }
    LeaveReason reason = LeaveReason.RULE;
    if (visit.person.goneAt <= visit.now) {
      reason = visit.person.whyGone();
    } else if (visit.program.leavesAtGoal() && Lookout.goalMetAt(visit, visit.now) <= visit.now) {
      reason = LeaveReason.GOAL_MET;
    }
    int here = visit.node;
    visit.witness.left(here, reason, visit);
    visit.waiting = false;
    visit.node = Visit.OVER;
    return true;
  }

  /** Whether what became known just now takes somebody out. */
  private static boolean leavesBecauseOfNews(Visit visit) {
    if (visit.seenEvidence == visit.person.evidence) {
      return false;
    }
    Lookout.around(visit.person);
    return leaves(visit);
  }
}
