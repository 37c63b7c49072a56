package org.opentrellis.core.machine;

import org.jspecify.annotations.Nullable;
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
    boolean more = true;
    while (more) {
      Visit alone = alone(person);
      more = alone == null ? doNext(person, end) : runAlone(person, alone, end);
    }
  }

  /** Tells the witness who is still inside. */
  public void close(Person person) {
    for (int i = 0; i < person.visits.size(); i++) {
      Visit visit = person.visits.get(i);
      if (!visit.over()) {
        visit.witness.waiting(visit.node, visit);
      }
    }
  }

  /** The next moment at which something happens to a person as far as is known, or NEVER. */
  public long nextAt(Person person) {
    long next = person.entries.nextAt();
    for (int i = 0; i < person.visits.size(); i++) {
      Visit visit = person.visits.get(i);
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

  /**
   * Lets a visit go on while it stays alone. What follows at one instant needs no looking out:
   * nothing becomes known meanwhile but what a step brings about, and a step looks at that itself.
   *
   * @return whether somebody comes in now
   */
  private static boolean runAlone(Person person, Visit visit, long end) {
    do {
      long at = wake(visit);
      if (at > end) {
        return false;
      }
      boolean waited = visit.waiting;
      if (begins(visit, at)) {
        Steps.actOn(visit, waited);
      }
    } while (!visit.over() && person.entries.isEmpty());
    return !person.entries.isEmpty();
  }

  /** Does the next thing, if it happens in time. */
  private boolean doNext(Person person, long end) {
    long at = person.entries.nextAt();
    Visit first = null;
    for (int i = 0; i < person.visits.size(); i++) {
      Visit visit = person.visits.get(i);
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
    Witness told = witness.of(program);
    if (!mayEnter(person, program, trigger, at)) {
      told.turnedAway(program, false, at);
      return;
    }
    Visit visit = person.visits.add(program, person);
    ZoneClock clock = person.world.clockOf(program, person.clock);
    program.markOnEntry(person, trigger);
    visit.witness = told;
    visit.outside = outside.of(program);
    visit.begin(trigger, origin, person.timesEntered[program.number()], at, clock);
    if (!program.admits(visit)) {
      visit.node = Visit.OVER;
      person.visits.removeLast();
      told.turnedAway(program, true, at);
      return;
    }
    person.timesEntered[program.number()]++;
    person.lastEntryAt[program.number()] = at;
    told.begins(visit);
    Lookout.around(person);
    if (visit.over()) {
      told.finished(Visit.OVER, visit);
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
      return person.visits.asList().stream().allMatch(v -> v.program != program || v.over());
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
    for (Question question : visit.awaited) {
      at = Math.min(at, question.firstHolds(visit, Lookout.present(visit), at));
    }
    return Math.min(at, Lookout.leavesAt(visit, at));
  }

  private static void resume(Visit visit, long at) {
    boolean waited = visit.waiting;
    if (begins(visit, at)) {
      Steps.act(visit, waited);
    }
  }

  /** Time comes to a moment at which a visit does something, unless it ends just then. */
  private static boolean begins(Visit visit, long at) {
    visit.comesTo(at);
    if (!visit.waiting) {
      visit.arrives();
    }
    return !Steps.leaves(visit);
  }
}
