package org.opentrellis.core.people;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.problem.Refused;

/** What kind of value a field of the record holds. */
public enum FieldType {
  TEXT("text"),
  NUMBER("number"),
  DATE("date"),
  YES_NO("yes or no"),
  ONE_OF("one of a list");

  private final String words;

  FieldType(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /**
   * What kind of value this looks like: whoever makes a field by filling it in gives it the type.
   */
  public static FieldType of(String typed) {
    for (FieldType type : List.of(NUMBER, DATE, YES_NO)) {
      try {
        if (type.read(typed, List.of()).isPresent()) {
          return type;
        }
      } catch (Refused other) {
        // then it is of another type
      }
    }
    return TEXT;
  }

  /** What kind of value this is, as {@link #of(String)} would say of what was typed. */
  public static FieldType of(Operand value) {
    return switch (value) {
      case Operand.Words words -> of(words.text()) == YES_NO ? YES_NO : TEXT;
      case Operand.Number number -> NUMBER;
      case Operand.Date date -> DATE;
      case Operand.Today today -> throw new IllegalArgumentException("no value: " + today);
      case Operand.OtherField other -> throw new IllegalArgumentException("no value: " + other);
    };
  }

  /**
   * A value as it is typed: dates as 2027-05-02, numbers with a point.
   *
   * @param choices what may be chosen, for {@link #ONE_OF}
   * @return empty if nothing is typed
   * @throws Refused if it is no value of this type
   */
  public Optional<Operand> read(String typed, List<String> choices) {
    String value = typed.strip();
    if (value.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        switch (this) {
          case TEXT -> new Operand.Words(value);
          case NUMBER -> number(value);
          case DATE -> date(value);
          case YES_NO -> oneOf(value, List.of("yes", "no"));
          case ONE_OF -> oneOf(value, choices);
        });
  }

  private static Operand number(String value) {
    try {
      return new Operand.Number(Double.parseDouble(value) + 0.0);
    } catch (NumberFormatException none) {
      throw new Refused("a number is written like 12 or 2.5, not " + quoted(value));
    }
  }

  private static Operand date(String value) {
    try {
      return new Operand.Date(LocalDate.parse(value));
    } catch (DateTimeParseException none) {
      throw new Refused("a date is written like 2027-05-02, not " + quoted(value));
    }
  }

  private static Operand oneOf(String value, List<String> choices) {
    return choices.stream()
        .filter(value::equalsIgnoreCase)
        .findFirst()
        .map(Operand.Words::new)
        .orElseThrow(
            () ->
                new Refused(
                    "it is one of %s, not %s"
                        .formatted(String.join(", ", choices), quoted(value))));
  }

  private static String quoted(String value) {
    String shown = value.length() > 40 ? value.substring(0, 40) + "\u2026" : value;
    return "\u201c" + shown + "\u201d";
  }
}
