package org.opentrellis.core.dryrun;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.FieldGuess;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.random.Draws;

/**
 * Draws what stands in the fields of people's records, and what events say. Immutable.
 *
 * @param startDate from which dates are counted
 */
record Guesses(
    LocalDate startDate,
    Map<FieldName, FieldGuess> fields,
    Map<AttributeName, FieldGuess> attributes) {

  static long addressOf(FieldName field) {
    return Draws.address(Purposes.FIELD, field.value());
  }

  /**
   * What one event says about itself.
   *
   * @param occurrence tells it from others of its person
   */
  Map<AttributeName, Operand> payload(long key, String occurrence) {
    if (attributes.isEmpty()) {
      return Map.of();
    }
    Map<AttributeName, Operand> payload = new HashMap<>();
    attributes.forEach(
        (name, guess) -> {
          long address = Draws.address(Purposes.EVENT, occurrence + "/" + name.value());
          Operand value = value(guess, key, address);
          if (value != null) {
            payload.put(name, value);
          }
        });
    return payload;
  }

  /** What is drawn at an address; null if it is empty. */
  @Nullable Operand value(FieldGuess guess, long key, long address) {
    return switch (guess) {
      case FieldGuess.OneOf some -> choice(some, Draws.uniform(key, address));
      case FieldGuess.NumberBetween numbers ->
          new Operand.Number(
              numbers.from() + Draws.uniform(key, address) * (numbers.to() - numbers.from()));
      case FieldGuess.DateBetween dates ->
          new Operand.Date(
              startDate.plusDays(
                  dates.fromDays()
                      + (long)
                          (Draws.uniform(key, address) * (dates.toDays() - dates.fromDays() + 1))));
      case FieldGuess.WithField tie ->
          value(fields.get(tie.other()), key, addressOf(tie.other())) == null
              ? null
              : value(tie.then(), key, address);
    };
  }

  private Operand held(Operand value) {
    return switch (value) {
      case Operand.Today today -> new Operand.Date(startDate.plusDays(today.plusDays()));
      case Operand.Words words -> words;
      case Operand.Number number -> number;
      case Operand.Date date -> date;
      case Operand.OtherField other ->
          throw new IllegalStateException("a choice refuses another field");
    };
  }

  private @Nullable Operand choice(FieldGuess.OneOf some, double u) {
    double upTo = 0;
    for (FieldGuess.Choice choice : some.choices()) {
      upTo += choice.share();
      if (u < upTo) {
        return held(choice.value());
      }
    }
    return null;
  }
}
