package org.opentrellis.core.machine;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.ReEntry;

/**
 * The only place that knows what a step does. Every driver (dry run, walk, recorded evidence) lets
 * a person come to a journey, notes evidence about them, and tells the machine how far time has
 * come; the machine tells a {@link Witness} what happens.
 *
 * <p>It looks at what is known: evidence ahead of the present is reckoned with, so that a driver
 * that knows all at once and one that learns as time goes on see the same path.
 *
 * <p>Order at one instant: outside events first, then leave rules, then steps. So somebody who buys
 * at exactly the moment a wait ends has left, and an open at exactly a branch's deadline counts.
 * Visits of one person that do something at the same instant go in order of entry.
 */
public final class JourneyMachine {
  /** Nobody enters one journey more often than this in one life. */
  static final int MOST_ENTRIES = 200;

  private final Outside outside;
  private final Witness witness;

  public JourneyMachine(Outside outside, Witness witness) {
    this.outside = outside;
    this.witness = witness;
  }

  /**
   * Lets time pass for a person until nothing more happens by a moment.
   *
   * @param end the last epoch second that is looked at; what happens then still counts
   */
  public void run(Person person, long end) {
    Lookout.around(person);
    while (true) {
      Visit alone = alone(person);
      if (alone == null) {
        if (!doNext(person, end)) {
          return;
        }
      } else if (!runAlone(person, alone, end)) {
        return;
      }
    }
  }

  /** Tells the witness who is still inside. */
  public void close(Person person) {
    for (int i = 0; i < person.visits.size(); i++) {
      Visit visit = person.visits.get(i);
      if (!visit.over()) {
        witness.waiting(visit.node, visit);
      }
    }
  }

  /** The next moment at which something happens to a person as far as is known, or NEVER. */
  public long nextAt(Person person) {
    long next = person.entries.nextAt();
    for (Visit visit : person.visits) {
      next = visit.over() ? next : Math.min(next, wake(visit));
    }
    return next;
  }

  /** The one visit that is not over, if nobody comes in meanwhile: the usual case, and quick. */
  private static @Nullable Visit alone(Person person) {
    if (!person.entries.isEmpty()) {
      return null;
    }
    Visit alone = null;
    for (int i = 0; i < person.visits.size(); i++) {
      Visit visit = person.visits.get(i);
      if (!visit.over()) {
        if (alone != null) {
          return null;
        }
        alone = visit;
      }
    }
    return alone;
  }

  /** Returns whether there may be more to do. */
  private boolean runAlone(Person person, Visit visit, long end) {
    while (!visit.over()) {
      long at = visit.waiting ? wake(visit) : visit.now;
      if (at > end) {
        return false;
      }
      resume(visit, at);
      if (!person.entries.isEmpty()) {
        return true;
      }
    }
    return false;
  }

  /** Does the next thing, if it happens in time. */
  private boolean doNext(Person person, long end) {
    long at = person.entries.nextAt();
    Visit first = null;
    for (Visit visit : person.visits) {
      if (!visit.over()) {
        long wakes = wake(visit);
        if (wakes < at) {
          at = wakes;
          first = visit;
        }
      }
    }
    if (at > end) {
      return false;
    }
    if (first != null) {
      resume(first, at);
      return true;
    }
    if (at == Person.NEVER) {
      return false;
    }
    comesIn(person);
    return true;
  }

  /** Somebody stands at a journey's door. */
  private void comesIn(Person person) {
    long at = person.entries.nextAt();
    Program program = person.world.programs().get(person.entries.nextProgram());
    int trigger = person.entries.nextTrigger();
    int origin = person.entries.nextOrigin();
    person.entries.removeNext();
    person.now = at;
    if (!mayEnter(person, program, trigger, at)) {
      witness.turnedAway(program, false, at);
      return;
    }
    Visit visit = person.newVisit(program);
    ZoneClock clock = person.world.clockOf(program, person.clock);
    program.markOnEntry(person, trigger);
    visit.begin(trigger, origin, person.timesEntered[program.number()], at, clock);
    if (!program.admits(visit)) {
      visit.node = Visit.OVER;
      person.visits.remove(visit);
      witness.turnedAway(program, true, at);
      return;
    }
    person.timesEntered[program.number()]++;
    person.lastEntryAt[program.number()] = at;
    witness.begins(visit);
    Lookout.around(person);
    if (visit.over()) {
      witness.finished(Visit.OVER, visit);
    }
  }

  private static boolean mayEnter(Person person, Program program, int trigger, long at) {
    int times = person.timesEntered[program.number()];
    if (person.goneAt <= at || times >= MOST_ENTRIES) {
      return false;
    }
    if (times == 0 || program.perCart(trigger)) {
      return true;
    }
    ReEntry rule = program.reEntry();
    if (rule instanceof ReEntry.AfterHavingLeft) {
      return person.visits.stream().allMatch(v -> v.program != program || v.over());
    }
    if (rule instanceof ReEntry.AfterDays days) {
      return at - person.lastEntryAt[program.number()] >= (long) days.days() * ZoneClock.DAY;
    }
    return rule instanceof ReEntry.EveryTime;
  }

  /** When a visit next does something, as far as is known. */
  private static long wake(Visit visit) {
    if (!visit.waiting) {
      return visit.now;
    }
    long at = visit.until;
    Node node = visit.program.node(visit.node);
    if (node instanceof Node.Branch branch) {
      for (Question question : branch.questions()) {
        at = Math.min(at, question.firstHolds(visit, Lookout.present(visit), at));
      }
    } else if (node instanceof Node.WaitFor waits) {
      at = Math.min(at, waits.question().firstHolds(visit, Lookout.present(visit), at));
    }
    return Math.min(at, Lookout.leavesAt(visit, at));
  }

  private void resume(Visit visit, long at) {
    boolean waited = visit.waiting;
    visit.now = at;
    visit.person.now = at;
    if (!waited) {
      visit.steppedAt = at;
      witness.entered(visit.node, visit);
    }
    if (!leaves(visit)) {
      act(visit, waited);
    }
  }

  private void act(Visit visit, boolean waited) {
    Node node = visit.program.node(visit.node);
    if (node instanceof Node.Send send) {
      send(visit, send);
    } else if (node instanceof Node.Wait wait) {
      if (waited) {
        goOn(visit, wait.next());
        return;
      }
      long until = wait.timer().endsAt(visit);
      if (until == Timer.PAST) {
        goOn(visit, wait.ifPast());
      } else {
        waitUntil(visit, until);
      }
    } else if (node instanceof Node.Change change) {
      change(visit, change);
    } else if (node instanceof Node.Branch branch) {
      decide(visit, branch, waited);
    } else if (node instanceof Node.WaitFor waits) {
      long deadline = deadline(visit, waits.atMost(), waited);
      boolean done = deadline <= visit.now || waits.question().holds(visit, visit.now);
      if (done) {
        goOn(visit, waits.next());
      } else {
        waitUntil(visit, deadline);
      }
    } else if (node instanceof Node.Split split) {
      take(visit, outside.lot(visit.node, split.shares(), visit), split.firstOfArm());
    } else if (node instanceof Node.HandOver over) {
      if (over.program() >= 0) {
        visit.person.isHandedOver(
            over.program(), over.trigger(), visit.program.number(), visit.now);
      }
      goOn(visit, over.thenFinish() ? Program.END : over.next());
    } else {
      goOn(visit, node.next());
    }
  }

  private static long deadline(Visit visit, @Nullable Amount atMost, boolean waited) {
    if (waited) {
      return visit.until;
    }
    return atMost == null ? visit.now : atMost.after(visit.now, visit.clock);
  }

  private void decide(Visit visit, Node.Branch branch, boolean waited) {
    long deadline = deadline(visit, branch.waitUpTo(), waited);
    Question[] questions = branch.questions();
    int way = 0;
    while (way < questions.length && !questions[way].holds(visit, visit.now)) {
      way++;
    }
    if (way == questions.length && visit.now < deadline) {
      waitUntil(visit, deadline);
    } else {
      take(visit, way, branch.firstOfArm());
    }
  }

  private void take(Visit visit, int way, int[] firstOfArm) {
    witness.took(visit.node, way, visit);
    goOn(visit, firstOfArm[way]);
  }

  private void change(Visit visit, Node.Change change) {
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

  private void send(Visit visit, Node.Send send) {
    if (!isReady(visit, send)) {
      return;
    }
    double[] variants = send.variants();
    int variant = variants.length == 0 ? 0 : outside.lot(visit.node, variants, visit);
    visit.noteSent(send.send(), variant);
    if (!send.text()) {
      visit.person.noteSent(visit.now);
    }
    visit.person.hadMessages.set(visit.program.message(send.send(), variant));
    witness.sent(visit.node, send.send(), visit);
    outside.send(send.send(), visit);
    if (!leavesBecauseOfNews(visit)) {
      goOn(visit, send.next());
    }
  }

  /** Whether a message may go out now; if not, the person has gone on, or waits. */
  private boolean isReady(Visit visit, Node.Send send) {
    SkipReason skip = SendRules.skips(visit, send);
    if (skip != null) {
      witness.skipped(visit.node, skip, visit);
      goOn(visit, send.next());
      return false;
    }
    long ready = SendRules.readyAt(visit, send);
    if (ready > visit.now) {
      waitUntil(visit, ready);
      return false;
    }
    if (visit.waiting) {
      witness.held(visit.node, visit.now - visit.steppedAt, visit);
    }
    return true;
  }

  private static void waitUntil(Visit visit, long until) {
    visit.waiting = true;
    visit.until = until;
  }

  private void goOn(Visit visit, int next) {
    int here = visit.node;
    witness.passed(here, visit);
    visit.waiting = false;
    visit.node = next;
    if (next == Program.END) {
      witness.finished(here, visit);
    }
  }

  /** Takes somebody out now if a leave rule says so. */
  private boolean leaves(Visit visit) {
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
    witness.left(here, reason, visit);
    visit.waiting = false;
    visit.node = Visit.OVER;
    return true;
  }

  /** Whether what became known just now takes somebody out. */
  private boolean leavesBecauseOfNews(Visit visit) {
    if (visit.seenEvidence == visit.person.evidence) {
      return false;
    }
    Lookout.around(visit.person);
    return leaves(visit);
  }
}
