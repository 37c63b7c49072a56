package org.opentrellis.core.machine;

import java.util.Arrays;
import org.opentrellis.core.calendar.ZoneClock;

/**
 * Which segments a person is in, of those that triggers wait for, and when that changes next,
 * whether something happens or time alone changes it. Segments ask about the person, not about a
 * visit: what a journey sent is unknown to them, and "since entry" is ever.
 *
 * <p>Mutable and reused from person to person.
 */
final class SegmentWatch {
  /** Somebody whom the calendar may bring into a segment is looked at again after so long. */
  private static final long FURTHEST = 400L * ZoneClock.DAY;

  private final Reactions reactions;
  private final boolean[] in;
  private final long[] changesAt;
  private final Visit[] onlookers;
  private long seenEvidence;
  private boolean begun;

  SegmentWatch(Reactions reactions) {
    this.reactions = reactions;
    in = new boolean[reactions.segmentCount()];
    changesAt = new long[in.length];
    onlookers = new Visit[in.length];
  }

  void clear() {
    begun = false;
    seenEvidence = Person.NONE_SEEN;
    Arrays.fill(changesAt, Person.NEVER);
  }

  /** Who is in from the start does not enter. */
  void begin(Person person, long at) {
    if (begun) {
      return;
    }
    begun = true;
    for (int i = 0; i < in.length; i++) {
      in[i] = holds(person, i, at);
    }
  }

  boolean isIn(int n) {
    return in[n];
  }

  /** Takes over who was in, as it was put down; {@link #begin} has been called. */
  void restore(int n, boolean was) {
    in[n] = was;
    seenEvidence = Person.NONE_SEEN;
  }

  /** When somebody next enters or leaves one, as far as is known. */
  long nextAt(Person person) {
    if (!begun || person.now == Person.NOT_YET) {
      return Person.NEVER;
    }
    look(person);
    long next = Person.NEVER;
    for (long at : changesAt) {
      next = Math.min(next, at);
    }
    return next;
  }

  /** Time has come to the next change: whoever enters a segment comes to its journeys. */
  void change(Person person) {
    for (int i = 0; i < in.length; i++) {
      if (changesAt[i] <= person.now) {
        boolean holds = holds(person, i, person.now);
        if (holds && !in[i]) {
          reactions.toSegment(person, i, person.now);
        }
        in[i] = holds;
        changesAt[i] = next(person, i);
      }
    }
  }

  /** Whoever is in a segment now has been in it. */
  void takeAsItIs(Person person) {
    if (person.now == Person.NOT_YET) {
      return;
    }
    for (int i = 0; i < in.length; i++) {
      in[i] = holds(person, i, person.now);
    }
    seenEvidence = Person.NONE_SEEN;
  }

  /** Something became known: what it changes now, and what it will. */
  void look(Person person) {
    if (seenEvidence == person.evidence) {
      return;
    }
    seenEvidence = person.evidence;
    for (int i = 0; i < in.length; i++) {
      changesAt[i] = holds(person, i, person.now) == in[i] ? next(person, i) : person.now;
    }
  }

  private long next(Person person, int n) {
    Question who = reactions.segment(n).who();
    Visit onlooker = onlooker(person, n);
    long last = person.now + FURTHEST;
    long at = who.nextChange(onlooker, person.now);
    while (at <= last) {
      if (who.holds(onlooker, at) != in[n]) {
        return at;
      }
      at = who.nextChange(onlooker, at);
    }
    return at == Person.NEVER ? at : last;
  }

  private boolean holds(Person person, int n, long at) {
    return reactions.segment(n).who().holds(onlooker(person, n), at);
  }

  private Visit onlooker(Person person, int n) {
    if (onlookers[n] == null) {
      onlookers[n] = new Visit(reactions.programOfSegment(n), person);
      onlookers[n].watchesOnly();
    }
    onlookers[n].clock = person.clock;
    return onlookers[n];
  }
}
