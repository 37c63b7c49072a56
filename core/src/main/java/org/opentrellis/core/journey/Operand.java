package org.opentrellis.core.journey;

import java.time.LocalDate;
import org.opentrellis.core.problem.Refused;

/** What a field is compared with. */
public sealed interface Operand
    permits Operand.Words, Operand.Number, Operand.Date, Operand.Today, Operand.OtherField {

  record Words(String text) implements Operand {
    public Words {
      text = Text.named("a value", text, 200);
    }
  }

  record Number(double number) implements Operand {
    public Number {
      if (!Double.isFinite(number)) {
        throw new Refused("a number must be finite, not " + number);
      }
    }
  }

  record Date(LocalDate date) implements Operand {}

  /** What another field of the same person holds; an empty one compares with nothing. */
  record OtherField(FieldName field) implements Operand {}

  /**
   * A date counted from the day on which the question is asked.
   *
   * @param plusDays days after today; before it if negative
   */
  record Today(int plusDays) implements Operand {
    public Today {
      Text.inRange("the days from today", plusDays, -36_600, 36_600);
    }
  }
}
