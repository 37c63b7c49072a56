package org.opentrellis.app.people;

import java.time.LocalDate;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Operand;

/** What a field or an attribute holds: one of the three. */
record ValueRow(
    String name, @Nullable String words, @Nullable Double number, @Nullable LocalDate dated) {

  /**
   * @throws IllegalArgumentException for what is no value by itself, such as another field
   */
  static ValueRow of(String name, Operand value) {
    return switch (value) {
      case Operand.Words words -> new ValueRow(name, words.text(), null, null);
      case Operand.Number number -> new ValueRow(name, null, number.number() + 0.0, null);
      case Operand.Date date -> new ValueRow(name, null, null, date.date());
      case Operand.Today today ->
          throw new IllegalArgumentException("a record has dates: " + today);
      case Operand.OtherField other ->
          throw new IllegalArgumentException("a record has values: " + other);
    };
  }

  /** As {@link #coded} gave it. */
  static ValueRow decoded(String name, String coded) {
    String value = coded.substring(1);
    return switch (coded.charAt(0)) {
      case 'W' -> new ValueRow(name, value, null, null);
      case 'N' -> new ValueRow(name, null, Double.valueOf(value), null);
      case 'D' -> new ValueRow(name, null, null, LocalDate.parse(value));
      default -> throw new IllegalArgumentException("no coded value: " + coded);
    };
  }

  Operand operand() {
    if (words != null) {
      return new Operand.Words(words);
    }
    return dated == null
        ? new Operand.Number(Objects.requireNonNull(number))
        : new Operand.Date(dated);
  }

  /** As one text, with its type in front; SQL says the same ({@link ActMapper#CODED}). */
  String coded() {
    if (words != null) {
      return "W" + words;
    }
    return dated == null ? "N" + number : "D" + dated;
  }

  /** How a text is compared; null if it is none. */
  @Nullable String wordsKey() {
    return words == null ? null : TextKey.of(words);
  }

  /** Whether it is shown as another one is, so that writing it down again changes nothing. */
  boolean says(ValueRow other) {
    return shown().equals(other.shown());
  }

  /** As it is shown. */
  String shown() {
    if (words != null) {
      return words;
    }
    if (dated != null) {
      return dated.toString();
    }
    double value = number == null ? 0 : number;
    return value == Math.rint(value) && Math.abs(value) < 1e15
        ? Long.toString((long) value)
        : Double.toString(value);
  }
}
