package org.opentrellis.core.machine;

import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Pressure;
import org.opentrellis.core.journey.Purpose;

/**
 * Whether there is room for one more email, by what the account finds enough for one person. Room
 * is kept for what goes first: for an email of another visit that is known to come within a day and
 * whose purpose stands further up.
 */
final class Room {
  /** For what comes within so many seconds room is kept. */
  static final long KEPT_FOR = ZoneClock.DAY;

  private final int most;
  private final boolean skips;
  private final int[] ranks = new int[Purpose.values().length];

  Room(Pressure pressure) {
    most = pressure.emailsPerWeek();
    skips = pressure.then() == FrequencyGuard.Then.SKIP;
    for (Purpose purpose : Purpose.values()) {
      ranks[purpose.ordinal()] = pressure.order().indexOf(purpose);
    }
  }

  /** Whether an email for which there is no room is left out, or waits. */
  boolean skips() {
    return skips;
  }

  /** Whether one visit goes before another that does something at the same instant. */
  boolean goesBefore(Visit one, Visit other) {
    return rank(one) < rank(other);
  }

  private int rank(Visit visit) {
    return ranks[visit.program.journey().purpose().ordinal()];
  }

  /**
   * The first moment, not before now, at which there may be room for an email of a visit, as far as
   * is known; now if there is room.
   */
  long freesAt(Visit visit) {
    Person person = visit.person;
    int recent = person.sends.since(visit.now - Person.WEEK);
    if (recent >= most) {
      return person.sends.fromLast(most) + Person.WEEK;
    }
    int left = most - recent;
    long next = visit.now;
    for (int i = 0; i < person.visits.size() && left > 0; i++) {
      Visit other = person.visits.get(i);
      if (goesFirst(other, visit)) {
        left--;
        next = next == visit.now ? other.until : Math.min(next, other.until);
      }
    }
    return left > 0 ? visit.now : next;
  }

  /** Whether another visit will send an email soon that goes before. */
  private boolean goesFirst(Visit other, Visit visit) {
    if (other == visit || other.over() || !other.waiting || !goesBefore(other, visit)) {
      return false;
    }
    boolean soon = other.until > visit.now && other.until <= visit.now + KEPT_FOR;
    return soon && sendsNext(other);
  }

  private static boolean sendsNext(Visit other) {
    Node next =
        switch (other.stand()) {
          case Node.Wait wait -> wait.next() < 0 ? null : other.program.nodes()[wait.next()];
          case Node.Send send -> send;
          case Node.Change change -> null;
          case Node.Branch branch -> null;
          case Node.WaitFor waits -> null;
          case Node.Split split -> null;
          case Node.HandOver over -> null;
          case Node.Pass pass -> null;
          case Node.Finish finish -> null;
        };
    return next instanceof Node.Send send && !send.text();
  }
}
