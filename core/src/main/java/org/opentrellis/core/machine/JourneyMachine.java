package org.opentrellis.core.machine;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.FrequencyGuard;
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
    boolean wasAlone = false;
    while (!visit.over()) {
      long at = visit.waiting ? wake(visit) : visit.now;
      if (at > end) {
        return false;
      }
      resume(visit, at, wasAlone);
      wasAlone = true;
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
      resume(first, at, false);
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
        at = Math.min(at, question.firstHolds(visit, visit.now, at));
      }
    } else if (node instanceof Node.WaitFor waits) {
      at = Math.min(at, waits.question().firstHolds(visit, visit.now, at));
    }
    return Math.min(at, leavesAt(visit, at));
  }

  /**
   * @param alone whether nobody else can have changed anything since this visit last looked
   */
  private void resume(Visit visit, long at, boolean alone) {
    if (!visit.waiting) {
      visit.steppedAt = at;
      witness.entered(visit.node, visit);
    }
    boolean waited = visit.waiting;
    visit.now = at;
    boolean hasLooked = alone && visit.stayedAt == at;
    if (!hasLooked && leaves(visit)) {
      return;
    }
    act(visit, waited);
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
    } else if (node instanceof Node.Change change) {
      change(visit, change);
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
    Reactions reactions = visit.person.world.reactions();
    long before = reactions.toSegments() ? reactions.segments(visit) : 0;
    for (RecordEdit edit : change.edits()) {
      edit.apply(visit.person, visit.now);
    }
    if (reactions.toSegments()) {
      reactions.toSegments(visit.person, before, reactions.segments(visit), visit.now);
    }
    if (!leaves(visit)) {
      goOn(visit, change.next());
    }
  }

  private void send(Visit visit, Node.Send send) {
    SkipReason skip = skips(visit, send);
    if (skip != null) {
      witness.skipped(visit.node, skip, visit);
      goOn(visit, send.next());
      return;
    }
    long ready = readyAt(visit, send);
    if (ready > visit.now) {
      waitUntil(visit, ready);
      return;
    }
    if (visit.waiting) {
      witness.held(visit.node, visit.now - visit.steppedAt, visit);
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
    if (!leaves(visit)) {
      goOn(visit, send.next());
    }
  }

  private static @Nullable SkipReason skips(Visit visit, Node.Send send) {
    if (send.text() && !visit.person.agreedToTexts) {
      return SkipReason.NO_CONSENT;
    }
    if (send.onlyIf() != null && !send.onlyIf().holds(visit, visit.now)) {
      return SkipReason.CONDITION;
    }
    if (send.once() && hadAll(visit, send)) {
      return SkipReason.HAD_BEFORE;
    }
    FrequencyGuard guard = visit.program.guard();
    boolean enough =
        guard != null
            && !send.text()
            && guard.then() == FrequencyGuard.Then.SKIP
            && guardFreesAt(visit, guard) > visit.now;
    return enough ? SkipReason.FREQUENCY_GUARD : null;
  }

  /** Whether the person has had the message, or one of the variants, before. */
  private static boolean hadAll(Visit visit, Node.Send send) {
    int versions = Math.max(1, send.variants().length);
    for (int variant = 0; variant < versions; variant++) {
      if (visit.person.hadMessages.get(visit.program.message(send.send(), variant))) {
        return true;
      }
    }
    return false;
  }

  /** The first moment, not before now, at which window and guard let a message through. */
  private static long readyAt(Visit visit, Node.Send send) {
    long ready = visit.now;
    FrequencyGuard guard = visit.program.guard();
    if (guard != null && !send.text() && guard.then() == FrequencyGuard.Then.HOLD) {
      ready = Math.max(ready, guardFreesAt(visit, guard));
    }
    SendWindow window = visit.program.window();
    return window == null ? ready : window.atOrAfter(ready, visit.clock);
  }

  private static long guardFreesAt(Visit visit, FrequencyGuard guard) {
    long span = (long) guard.days() * ZoneClock.DAY;
    int recent = visit.person.emailsSince(visit.now - span);
    return recent < guard.most() ? visit.now : visit.person.emailFromLast(guard.most()) + span;
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

  /** Takes somebody out now if a leave rule says so; the goal is noted in any case. */
  private boolean leaves(Visit visit) {
    if (leavesAt(visit, visit.now) > visit.now) {
      visit.stayedAt = visit.now;
      return false;
    }
    LeaveReason reason = LeaveReason.RULE;
    if (visit.person.goneAt <= visit.now) {
      reason = visit.person.whyGone();
    } else if (visit.program.leavesAtGoal() && goalMetAt(visit, visit.now) <= visit.now) {
      reason = LeaveReason.GOAL_MET;
    }
    int here = visit.node;
    witness.left(here, reason, visit);
    visit.waiting = false;
    visit.node = Visit.OVER;
    return true;
  }

  /** The first moment from now to another at which the person leaves, or NEVER. */
  private static long leavesAt(Visit visit, long to) {
    long at = visit.person.goneAt;
    Program program = visit.program;
    if (program.goalQuestion() != null) {
      long goal = goalMetAt(visit, to);
      at = program.leavesAtGoal() ? Math.min(at, goal) : at;
    }
    Question[] rules = program.leaveRules();
    for (Question rule : rules) {
      at = Math.min(at, rule.firstHolds(visit, visit.now, Math.min(at, to)));
    }
    return at;
  }

  /**
   * When a visit meets its goal within its limit, as far as is known; also after it is over.
   *
   * @param to the last moment that is looked at
   * @return {@link Person#NEVER} if it does not by then
   */
  public static long goalMetAt(Visit visit, long to) {
    Question goal = visit.program.goalQuestion();
    if (goal == null || visit.goalAt != Person.NEVER) {
      return visit.goalAt;
    }
    long limit = visit.entryAt + visit.program.goalSeconds();
    long met = goal.firstHolds(visit, visit.now, Math.min(to, limit));
    if (met <= visit.now) {
      visit.goalAt = met;
    }
    return met;
  }
}
