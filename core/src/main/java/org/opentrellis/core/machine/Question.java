package org.opentrellis.core.machine;

import java.util.Arrays;
import java.util.BitSet;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;

/** A compiled condition: numbers instead of names. */
interface Question {

  /** Whether it holds at a moment; something at exactly that moment counts. */
  boolean holds(Visit visit, long at);

  /** The next moment after {@code at} when the answer may change, or {@link Person#NEVER}. */
  long nextChange(Visit visit, long at);

  /** The kinds of {@link Evidence} that the answer depends on. */
  int about();

  /** Whether the answer may change with the calendar alone, for ever. */
  default boolean followsTheCalendar() {
    return false;
  }

  /** The first moment from one to another at which it holds, or {@link Person#NEVER}. */
  default long firstHolds(Visit visit, long from, long to) {
    long at = from;
    while (at <= to && at != Person.NEVER) {
      if (holds(visit, at)) {
        return at;
      }
      at = nextChange(visit, at);
    }
    return Person.NEVER;
  }

  /** One whose answer is known from the start. */
  record Fixed(boolean answer) implements Question {
    @Override
    public int about() {
      return Evidence.NONE;
    }

    @Override
    public boolean holds(Visit visit, long at) {
      return answer;
    }

    @Override
    public long nextChange(Visit visit, long at) {
      return Person.NEVER;
    }
  }

  /** A tag or a list: when it changes, all is looked at again. */
  record OnRecord(int label, boolean ever) implements Question {
    @Override
    public int about() {
      return Evidence.RECORD;
    }

    @Override
    public boolean holds(Visit visit, long at) {
      return ever ? visit.person.everCarried(label) : visit.person.carriesNow(label);
    }

    @Override
    public long nextChange(Visit visit, long at) {
      return Person.NEVER;
    }
  }

  /**
   * @param answers by trigger of the journey, whether coming by it is meant
   * @param origin the journey that must have handed the person over, or -1
   */
  record CameBy(boolean[] answers, int origin) implements Question {
    @Override
    public int about() {
      return Evidence.NONE;
    }

    @Override
    public boolean holds(Visit visit, long at) {
      return origin >= 0 ? visit.origin == origin : visit.trigger >= 0 && answers[visit.trigger];
    }

    @Override
    public long nextChange(Visit visit, long at) {
      return Person.NEVER;
    }
  }

  /**
   * @param offers which of the world's products count, or null for all and for none in particular
   * @param leastCents the least value
   * @param within so long ago at the most, or null for since entry
   */
  record Bought(@Nullable BitSet offers, long leastCents, @Nullable Amount within)
      implements Question {
    @Override
    public int about() {
      return Evidence.PURCHASES;
    }

    /** Whether a purchase is one that is asked for. */
    boolean fits(int offer, long cents) {
      return cents >= leastCents && (offers == null || offer >= 0 && offers.get(offer));
    }

    boolean counts(Happenings bought, int n) {
      return fits(bought.what(n), bought.cents(n));
    }

    @Override
    public boolean holds(Visit visit, long at) {
      Happenings bought = visit.person.purchases();
      for (int n = 0; n < bought.size() && bought.at(n) <= at; n++) {
        if (counts(bought, n) && Recent.at(bought.at(n), within, visit, at)) {
          return true;
        }
      }
      return false;
    }

    @Override
    public long nextChange(Visit visit, long at) {
      return Recent.nextChange(visit.person.purchases(), within, visit, at);
    }

    /** Once bought since entry is bought for good: the first purchase that counts says when. */
    @Override
    public long firstHolds(Visit visit, long from, long to) {
      Happenings bought = visit.person.purchases();
      if (within != null && bought.size() > 0) {
        return Question.super.firstHolds(visit, from, to);
      }
      for (int n = 0; n < bought.size() && bought.at(n) <= to; n++) {
        if (bought.at(n) > visit.entryAt && counts(bought, n)) {
          return from > to ? Person.NEVER : Math.max(from, bought.at(n));
        }
      }
      return Person.NEVER;
    }
  }

  /** What lay in the cart when it last changed, unless something was bought since. */
  record InCart(Bought what) implements Question {
    @Override
    public int about() {
      return Evidence.CARTS | Evidence.PURCHASES;
    }

    @Override
    public boolean holds(Visit visit, long at) {
      Happenings carts = visit.person.carts();
      int last = carts.lastUpTo(at);
      if (last < 0 || visit.person.boughtWithin(carts.at(last), at)) {
        return false;
      }
      for (int n = last; n >= 0 && carts.at(n) == carts.at(last); n--) {
        if (carts.what(n) != Person.NOTHING && what.counts(carts, n)) {
          return true;
        }
      }
      return false;
    }

    @Override
    public long nextChange(Visit visit, long at) {
      return Math.min(visit.person.carts().nextAfter(at), visit.person.purchases().nextAfter(at));
    }
  }

  /** What was bought at the moment that brought the person in, if a purchase did. */
  record CameByOrder(CameBy byBuying, Bought what) implements Question {
    @Override
    public int about() {
      return Evidence.NONE;
    }

    @Override
    public boolean holds(Visit visit, long at) {
      Happenings bought = visit.person.purchases();
      for (int n = 0; n < bought.size() && bought.at(n) <= visit.cameAt; n++) {
        if (bought.at(n) == visit.cameAt && what.counts(bought, n)) {
          return byBuying.holds(visit, at);
        }
      }
      return false;
    }

    @Override
    public long nextChange(Visit visit, long at) {
      return Person.NEVER;
    }
  }

  /** Some weekdays and hours. */
  record During(SendWindow window) implements Question {
    @Override
    public int about() {
      return Evidence.NONE;
    }

    @Override
    public boolean followsTheCalendar() {
      return true;
    }

    @Override
    public boolean holds(Visit visit, long at) {
      return window.has(at, visit.clock);
    }

    @Override
    public long nextChange(Visit visit, long at) {
      return window.nextChange(at, visit.clock);
    }
  }

  /** How many parts must hold. */
  enum Quantifier {
    ALL,
    ANY,
    NONE
  }

  record Combined(Quantifier quantifier, Question[] parts) implements Question {
    @Override
    public int about() {
      return Arrays.stream(parts).mapToInt(Question::about).reduce(0, (a, b) -> a | b);
    }

    @Override
    public boolean holds(Visit visit, long at) {
      for (Question part : parts) {
        if (part.holds(visit, at) != (quantifier == Quantifier.ALL)) {
          return quantifier == Quantifier.ANY;
        }
      }
      return quantifier != Quantifier.ANY;
    }

    @Override
    public boolean followsTheCalendar() {
      return Arrays.stream(parts).anyMatch(Question::followsTheCalendar);
    }

    @Override
    public long nextChange(Visit visit, long at) {
      long next = Person.NEVER;
      for (Question part : parts) {
        next = Math.min(next, part.nextChange(visit, at));
      }
      return next;
    }
  }
}
