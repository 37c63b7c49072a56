package org.opentrellis.core.machine;

import java.util.List;

/** A compiled condition: numbers instead of names. */
sealed interface Question {

  /** Whether it holds at a moment; something at exactly that moment counts. */
  boolean holds(PersonState person, long at);

  /** The next moment after {@code at} when the answer may change, or {@link PersonState#NEVER}. */
  long nextChange(PersonState person, long at);

  private static long ifAfter(long moment, long at) {
    return moment > at ? moment : PersonState.NEVER;
  }

  record Opened(int email, boolean peopleOnly) implements Question {
    private long moment(PersonState person) {
      return peopleOnly ? person.peopleOpenAt[email] : person.recordedOpenAt[email];
    }

    @Override
    public boolean holds(PersonState person, long at) {
      return moment(person) <= at;
    }

    @Override
    public long nextChange(PersonState person, long at) {
      return ifAfter(moment(person), at);
    }
  }

  /**
   * @param link the link's number in its message, or {@link #ANY_LINK}
   */
  record Clicked(int email, int link) implements Question {
    static final int ANY_LINK = -1;

    private long moment(PersonState person) {
      boolean counts = link < 0 || person.clickedLink[email] == link;
      return counts ? person.clickAt[email] : PersonState.NEVER;
    }

    @Override
    public boolean holds(PersonState person, long at) {
      return moment(person) <= at;
    }

    @Override
    public long nextChange(PersonState person, long at) {
      return ifAfter(moment(person), at);
    }
  }

  /** A tag or a list; it cannot change while the person stands at a branch. */
  record OnRecord(int mark) implements Question {
    @Override
    public boolean holds(PersonState person, long at) {
      return person.record.get(mark);
    }

    @Override
    public long nextChange(PersonState person, long at) {
      return PersonState.NEVER;
    }
  }

  /** Asks about an email or link that is not there; a check says so to the user. */
  enum Never implements Question {
    NEVER;

    @Override
    public boolean holds(PersonState person, long at) {
      return false;
    }

    @Override
    public long nextChange(PersonState person, long at) {
      return PersonState.NEVER;
    }
  }

  /** How many parts must hold. */
  enum Quantifier {
    ALL,
    ANY,
    NONE
  }

  record Combined(Quantifier quantifier, List<Question> parts) implements Question {
    @Override
    public boolean holds(PersonState person, long at) {
      return switch (quantifier) {
        case ALL -> parts.stream().allMatch(part -> part.holds(person, at));
        case ANY -> parts.stream().anyMatch(part -> part.holds(person, at));
        case NONE -> parts.stream().noneMatch(part -> part.holds(person, at));
      };
    }

    @Override
    public long nextChange(PersonState person, long at) {
      long next = PersonState.NEVER;
      for (Question part : parts) {
        next = Math.min(next, part.nextChange(person, at));
      }
      return next;
    }
  }
}
