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
 * A field against a value. Texts are compared without regard to case; values of different kinds
 * never compare.
 *
 * @param operands as many as the operator takes
 * @param otherFields by operand, the number of the other field that it means, or -1
 */
record FieldQuestion(int field, Operator is, List<Operand> operands, int[] otherFields)
    implements Question {

  @Override
  public int about() {
    return Evidence.RECORD;
  }

  @Override
  public boolean holds(Visit visit, long at) {
    Operand value = visit.person.field(field);
    if (is == Operator.IS_EMPTY || value == null) {
      return is == Operator.IS_EMPTY && value == null;
    }
    Operand first = operand(0, visit, at);
    if (first == null) {
      return false;
    }
    return switch (is) {
      case CONTAINS -> words(value).contains(words(first));
      case STARTS_WITH -> words(value).startsWith(words(first));
      case EQUALS -> compare(value, first).equals(OptionalInt.of(0));
      case LESS -> ordered(value, first, c -> c < 0);
      case AT_MOST -> ordered(value, first, c -> c <= 0);
      case MORE -> ordered(value, first, c -> c > 0);
      case AT_LEAST -> ordered(value, first, c -> c >= 0);
      case BETWEEN -> ordered(value, first, c -> c >= 0) && isAtMost(value, operand(1, visit, at));
      case IS_EMPTY -> throw new IllegalStateException("handled above");
    };
  }

  private static boolean isAtMost(Operand value, @Nullable Operand most) {
    return most != null && ordered(value, most, c -> c <= 0);
  }

  /** A question about today may have another answer tomorrow. */
  @Override
  public boolean followsTheCalendar() {
    return operands.stream().anyMatch(Operand.Today.class::isInstance);
  }

  @Override
  public long nextChange(Visit visit, long at) {
    if (!followsTheCalendar() || visit.person.field(field) == null) {
      return Person.NEVER;
    }
    long midnight = visit.clock.instant((visit.clock.day(at) + 1) * ZoneClock.DAY);
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
  private @Nullable Operand operand(int n, Visit visit, long at) {
    return switch (operands.get(n)) {
      case Operand.Today today -> new Operand.Date(visit.clock.date(at).plusDays(today.plusDays()));
      case Operand.OtherField other -> visit.person.field(otherFields[n]);
      case Operand.Words words -> words;
      case Operand.Number number -> number;
      case Operand.Date date -> date;
    };
  }
}
