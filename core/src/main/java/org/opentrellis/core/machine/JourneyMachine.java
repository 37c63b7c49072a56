package org.opentrellis.core.machine;

import java.time.Instant;
import java.util.List;
import org.opentrellis.core.journey.Goal;

/**
 * The only place that knows what a step does. Every driver (dry run, walk, recorded evidence) feeds
 * it a person's state and evidence and is told what happens.
 *
 * <p>Order at one instant: outside events first, then leave rules, then steps. So somebody who buys
 * at exactly the moment a wait ends has left, and an open at exactly a branch's deadline counts.
 */
public final class JourneyMachine {
  private final Program program;
  private final Postbox postbox;
  private final Witness witness;

  public JourneyMachine(Program program, Postbox postbox, Witness witness) {
    this.program = program;
    this.postbox = postbox;
    this.witness = witness;
  }

  /**
   * Takes a person from where they stand to the end of the journey, or as far as they come.
   *
   * @param person entered by {@link #enter}
   * @param end the last epoch second that is looked at; what happens then still counts
   */
  public void run(PersonState person, long end) {
    while (person.node != Program.END) {
      if (!step(person, end)) {
        return;
      }
    }
    witness.finished(person);
  }

  /** Puts a person at the journey's first step. */
  public void enter(PersonState person, long entryAt, java.time.ZoneId zone) {
    person.enter(program.first(), entryAt, zone);
  }

  /** Does one step. Returns whether the person goes on. */
  private boolean step(PersonState person, long end) {
    int here = person.node;
    witness.entered(here, person);
    if (leaves(person, here, person.now)) {
      return false;
    }
    Node node = program.node(here);
    if (node instanceof Node.Send send) {
      postbox.send(send.email(), person);
      if (leaves(person, here, person.now)) {
        return false;
      }
    } else if (node instanceof Node.Pause pause) {
      Instant arrival = Instant.ofEpochSecond(person.now);
      if (!waits(person, here, pause.rule().endsAt(arrival, person.zone).getEpochSecond(), end)) {
        return false;
      }
    } else if (node instanceof Node.Branch branch) {
      return decide(person, here, branch, end);
    } else if (node instanceof Node.Change change) {
      for (int i = 0; i < change.marks().length; i++) {
        person.record.set(change.marks()[i], change.on()[i]);
      }
    }
    witness.passed(here, person);
    person.node = node.next();
    return true;
  }

  private boolean decide(PersonState person, int here, Node.Branch branch, long end) {
    long deadline =
        branch.waitUpTo() == null
            ? person.now
            : branch
                .waitUpTo()
                .after(Instant.ofEpochSecond(person.now), person.zone)
                .getEpochSecond();
    List<Question> questions = branch.questions();
    int otherwise = questions.size();
    int taken;
    long at = person.now;
    while (true) {
      taken = firstThatHolds(questions, person, at);
      if (taken < otherwise || at >= deadline) {
        break;
      }
      at = Math.min(deadline, nextChange(questions, person, at));
    }
    if (!waits(person, here, at, end)) {
      return false;
    }
    witness.took(here, taken, person);
    witness.passed(here, person);
    person.node = branch.firstOfArm()[taken];
    return true;
  }

  private static int firstThatHolds(List<Question> questions, PersonState person, long at) {
    for (int i = 0; i < questions.size(); i++) {
      if (questions.get(i).holds(person, at)) {
        return i;
      }
    }
    return questions.size();
  }

  private static long nextChange(List<Question> questions, PersonState person, long at) {
    long next = PersonState.NEVER;
    for (Question question : questions) {
      next = Math.min(next, question.nextChange(person, at));
    }
    return next;
  }

  /** Lets time pass until a moment. Returns whether the person is still there then. */
  private boolean waits(PersonState person, int here, long until, long end) {
    if (leaves(person, here, Math.min(until, end))) {
      return false;
    }
    if (until > end) {
      witness.waiting(here, person);
      return false;
    }
    person.now = until;
    return true;
  }

  /** Whether a leave rule takes the person out by a moment; the earliest reason counts. */
  private boolean leaves(PersonState person, int here, long by) {
    long goalAt = goalMetAt(program, person);
    boolean leavesAtGoal = program.goal().map(Goal::leaveWhenMet).orElse(false);
    long byGoal = leavesAtGoal ? goalAt : PersonState.NEVER;
    long at = Math.min(byGoal, Math.min(person.unsubscribesAt, person.bouncesAt));
    if (at > by) {
      return false;
    }
    LeaveReason reason =
        at == byGoal
            ? LeaveReason.GOAL_MET
            : at == person.unsubscribesAt ? LeaveReason.UNSUBSCRIBED : LeaveReason.BOUNCED;
    person.now = Math.max(person.now, at);
    witness.left(here, reason, person);
    return true;
  }

  /** When the person meets the goal as far as is known, or {@link PersonState#NEVER}. */
  public static long goalMetAt(Program program, PersonState person) {
    if (program.goal().isEmpty() || person.buysAt == PersonState.NEVER) {
      return PersonState.NEVER;
    }
    long limit = person.entryAt + program.goal().get().withinDays() * 86_400L;
    return person.buysAt <= limit ? person.buysAt : PersonState.NEVER;
  }
}
