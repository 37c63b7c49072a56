package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;

/** Reads how something is compared: "is at least 3", "starts with “Lin”", "is empty". */
final class ComparisonReader {
  /** What may follow the name of the thing that is compared. */
  static final String[] BEGINNINGS = {
    "is",
    "equal to",
    "contains",
    "starts with",
    "empty",
    "less than",
    "at most",
    "more than",
    "at least",
    "between"
  };

  private final Cursor cursor;
  private final OperandReader operands;

  /**
   * @param scope with the fields that are known
   */
  ComparisonReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.operands = new OperandReader(cursor, scope);
  }

  Operator operator() {
    cursor.silently("is");
    for (Operator one : Operator.values()) {
      if (one != Operator.EQUALS && cursor.word(one.words().replaceFirst("^is ", ""))) {
        return one;
      }
    }
    cursor.any("equal to", "equals", "=");
    return Operator.EQUALS;
  }

  /** As many values as the operator takes. */
  List<Operand> values(Operator is) {
    List<Operand> values = new ArrayList<>();
    for (int i = 0; i < is.operands(); i++) {
      if (i > 0) {
        cursor.require("and");
      }
      values.add(operands.read());
    }
    return values;
  }
}
