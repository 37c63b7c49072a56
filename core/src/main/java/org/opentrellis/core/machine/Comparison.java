package org.opentrellis.core.machine;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;

/**
 * Compares a value that somebody has with others. Texts are compared without regard to case; values
 * of different kinds never compare.
 *
 * @param operands as many as the operator takes
 * @param otherFields by operand, the number of the person's field that it means, or -1
 */
record Comparison(Operator is, List<Operand> operands, int[] otherFields) {
  static Comparison of(Operator is, List<Operand> operands, Names names) {
    return new Comparison(is, operands, operands.stream().mapToInt(names::fieldOf).toArray());
  }

  /**
   * @param value empty if null
   * @param clock the one that "today" is read on
   */
  boolean holds(@Nullable Operand value, Person person, ZoneClock clock, long at) {
    if (is == Operator.IS_EMPTY || value == null) {
      return is == Operator.IS_EMPTY && value == null;
    }
    Operand first = operand(0, person, clock, at);
    if (first == null) {
      return false;
    }
    return switch (is) {
      case CONTAINS -> texts(value, first) && words(value).contains(words(first));
      case STARTS_WITH -> texts(value, first) && words(value).startsWith(words(first));
      case EQUALS -> compare(value, first).equals(OptionalInt.of(0));
      case LESS -> ordered(value, first, c -> c < 0);
      case AT_MOST -> ordered(value, first, c -> c <= 0);
      case MORE -> ordered(value, first, c -> c > 0);
      case AT_LEAST -> ordered(value, first, c -> c >= 0);
      case BETWEEN ->
          ordered(value, first, c -> c >= 0) && isAtMost(value, operand(1, person, clock, at));
      case IS_EMPTY -> throw new IllegalStateException("handled above");
    };
  }

  private static boolean texts(Operand value, Operand other) {
    return value instanceof Operand.Words && other instanceof Operand.Words;
  }

  private static boolean isAtMost(Operand value, @Nullable Operand most) {
    return most != null && ordered(value, most, c -> c <= 0);
  }

  /** A question about today may have another answer tomorrow. */
  boolean followsTheCalendar() {
    return operands.stream().anyMatch(Operand.Today.class::isInstance);
  }

  /** The next moment after {@code at} when the answer may change by itself, or NEVER. */
  long nextChange(ZoneClock clock, long at) {
    if (!followsTheCalendar()) {
      return Person.NEVER;
    }
    long midnight = clock.instant((clock.day(at) + 1) * ZoneClock.DAY);
    return Math.max(midnight, at + 1);
  }

  private static boolean ordered(
      Operand value, Operand other, java.util.function.IntPredicate test) {
    OptionalInt compared = compare(value, other);
    return compared.isPresent() && test.test(compared.getAsInt());
  }

  /** The order of two values of one kind; empty if they are of different kinds. */
  private static OptionalInt compare(Operand value, Operand other) {
    if (value instanceof Operand.Number one && other instanceof Operand.Number two) {
      return OptionalInt.of(Double.compare(one.number(), two.number()));
    }
    LocalDate one = date(value);
    LocalDate two = date(other);
    if (one != null && two != null) {
      return OptionalInt.of(Integer.signum(one.compareTo(two)));
    }
    return value instanceof Operand.Words && other instanceof Operand.Words
        ? OptionalInt.of(words(value).compareTo(words(other)))
        : OptionalInt.empty();
  }

  private static @Nullable LocalDate date(Operand value) {
    return value instanceof Operand.Date date ? date.date() : null;
  }

  private static String words(Operand value) {
    return value instanceof Operand.Words words ? words.text().toLowerCase(Locale.ROOT) : "";
  }

  /** What is compared with; null if the field that holds it is empty. */
  private @Nullable Operand operand(int n, Person person, ZoneClock clock, long at) {
    return switch (operands.get(n)) {
      case Operand.Today today -> new Operand.Date(clock.date(at).plusDays(today.plusDays()));
      case Operand.OtherField other -> person.field(otherFields[n]);
      case Operand.Words words -> words;
      case Operand.Number number -> number;
      case Operand.Date date -> date;
    };
  }
}
