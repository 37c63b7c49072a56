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
 * Visits of one person that do something at the same instant go in order of entry, unless the
 * account says what goes first.
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
   * Lets time pass for a person, moment by moment, until nothing more happens by an end: each thing
   * is done when it is due.
   *
   * @param end the last epoch second that is looked at; what happens then still counts
   */
  public void run(Person person, long end) {
    Exits.around(person);
    boolean more = true;
    while (more) {
      Visit alone = alone(person);
      more = alone == null ? doNext(person, end) : runAlone(person, alone, end);
    }
  }

  /**
   * Time has come to the present: whatever is due by now is done now, in the order in which it was
   * due. Nothing is dated before the present, and what has been decided stays decided, whatever
   * becomes known of the time before.
   *
   * @param now epoch seconds; an earlier one than time has come to already counts as that
   */
  public void advance(Person person, long now) {
    person.comesTo(now);
    run(person, person.now);
  }

  /**
   * The person is back by their own act. Whom they left before, they have left.
   *
   * @param at when; what is told late of the time before makes them leave nothing any more
   */
  public void comesBack(Person person, long at) {
    Exits.around(person);
    for (int i = 0; i < person.visits.size(); i++) {
      Visit visit = person.visits.get(i);
      if (!visit.over() && person.goneAt() <= at) {
        takeOut(visit, person.departures.why());
      }
    }
    person.comesBack(at);
  }

  /** Somebody takes the person out of a journey by hand, or the journey is stopped, now. */
  public void takeOut(Person person, int program, LeaveReason reason) {
    for (int i = 0; i < person.visits.size(); i++) {
      Visit visit = person.visits.get(i);
      if (visit.program.number() == program && !visit.over()) {
        takeOut(visit, reason);
      }
    }
  }

  /**
   * Somebody has the person go on from where they wait in a journey, as if the time were over. A
   * message that may not go out yet still waits.
   */
  public void putForward(Person person, int program) {
    for (int i = 0; i < person.visits.size(); i++) {
      Visit visit = person.visits.get(i);
      boolean waits = visit.waiting && !(visit.stand() instanceof Node.Send);
      if (visit.program.number() == program && !visit.over() && waits) {
        visit.until = Math.min(visit.until, person.now);
      }
    }
  }

  /** What lets messages out has changed: those that wait for it look again now. */
  public void looksAgain(Person person) {
    for (int i = 0; i < person.visits.size(); i++) {
      Visit visit = person.visits.get(i);
      if (!visit.over() && visit.waiting && visit.stand() instanceof Node.Send) {
        visit.until = Math.min(visit.until, person.now);
      }
    }
  }

  private static void takeOut(Visit visit, LeaveReason reason) {
    visit.comesTo(visit.person.now);
    Steps.leaves(visit, reason);
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
    long next = Math.min(person.entries.nextAt(), segmentsChangeAt(person));
    for (int i = 0; i < person.visits.size(); i++) {
      Visit visit = person.visits.get(i);
      next = visit.over() ? next : Math.min(next, wake(visit));
    }
    return Math.max(next, person.now);
  }

  private static long segmentsChangeAt(Person person) {
    return person.segments == null ? Person.NEVER : person.segments.nextAt(person);
  }

  /** The one visit that is not over, if nobody comes in meanwhile: the usual case, and quick. */
  private static @Nullable Visit alone(Person person) {
    if (!person.entries.isEmpty() || person.segments != null) {
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
      long at = Math.max(wake(visit), person.now);
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

  /** Does the next thing, if it happens in time: outside events first, then visits. */
  private boolean doNext(Person person, long end) {
    long segments = segmentsChangeAt(person);
    long entry = person.entries.nextAt();
    long at = Math.min(segments, entry);
    Visit first = null;
    for (int i = 0; i < person.visits.size(); i++) {
      Visit visit = person.visits.get(i);
      if (!visit.over()) {
        long wakes = wake(visit);
        boolean sooner = wakes < at || wakes == at && first != null && goesBefore(visit, first);
        if (sooner) {
          at = wakes;
          first = visit;
        }
      }
    }
    if (at == Person.NEVER || Math.max(at, person.now) > end) {
      return false;
    }
    if (first != null) {
      resume(first, Math.max(at, person.now));
    } else if (segments <= entry) {
      person.comesTo(at);
      person.segments.change(person);
    } else {
      comesIn(person);
    }
    return true;
  }

  /** At one instant those go first that the account has go first; else in order of entry. */
  private static boolean goesBefore(Visit visit, Visit other) {
    Room room = visit.person.world.room();
    return room != null && room.goesBefore(visit, other);
  }

  /** Somebody stands at a journey's door. */
  private void comesIn(Person person) {
    long cameAt = person.entries.nextAt();
    person.comesTo(cameAt);
    long at = person.now;
    int number = person.entries.nextProgram();
    int trigger = person.entries.nextTrigger();
    int origin = person.entries.nextOrigin();
    long cart = person.entries.nextCart();
    person.entries.removeNext();
    @Nullable Program program = person.world.current(number);
    boolean shut = program == null || !person.world.isOpen(number);
    if (shut || cart != Person.NOT_YET && !person.stillLeaves(cart, at)) {
      return;
    }
    Witness told = witness.of(program);
    if (!mayEnter(person, program, trigger, at)) {
      told.turnedAway(program, false, at);
      return;
    }
    Visit visit = person.visits.add(program, person);
    program.labelOnEntry(person, trigger);
    take(visit);
    visit.begin(trigger, origin, person.timesEntered[number], at, program.clockFor(person.clock));
    visit.cameAt = cameAt;
    if (!program.admits(visit)) {
      visit.node = Visit.OVER;
      person.visits.removeLast();
      told.turnedAway(program, true, at);
      return;
    }
    person.timesEntered[number]++;
    person.lastEntryAt[number] = at;
    told.begins(visit);
    Exits.around(person);
    if (visit.over()) {
      told.finished(Visit.OVER, visit);
    }
  }

  /** Goes on with a person who was put down and has been taken up again. */
  public void takeUp(Person person) {
    for (int i = 0; i < person.visits.size(); i++) {
      take(person.visits.get(i));
    }
  }

  /** This machine's driver decides in a visit, and is told of it. */
  private void take(Visit visit) {
    visit.witness = witness.of(visit.program);
    visit.outside = outside.of(visit.program);
  }

  private static boolean mayEnter(Person person, Program program, int trigger, long at) {
    int times = person.timesEntered[program.number()];
    if (person.goneAt() <= at || times >= MOST_ENTRIES) {
      return false;
    }
    if (times == 0 || program.perCart(trigger)) {
      return true;
    }
    return switch (program.reEntry()) {
      case ReEntry.Never never -> false;
      case ReEntry.AfterHavingLeft left ->
          person.visits.asList().stream()
              .allMatch(visit -> visit.program.number() != program.number() || visit.over());
      case ReEntry.AfterDays days ->
          at - person.lastEntryAt[program.number()] >= (long) days.days() * ZoneClock.DAY;
      case ReEntry.EveryTime every -> true;
    };
  }

  /** When a visit next does something, as far as is known. */
  private static long wake(Visit visit) {
    if (!visit.waiting) {
      return visit.now;
    }
    long at = visit.until;
    for (Question question : visit.awaited) {
      at = Math.min(at, question.firstHolds(visit, Exits.present(visit), at));
    }
    return Math.min(at, Exits.leavesAt(visit, at));
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
