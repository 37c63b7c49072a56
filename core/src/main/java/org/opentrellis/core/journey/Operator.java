package org.opentrellis.core.journey;

import java.util.List;
import org.opentrellis.core.problem.Refused;

/** How a field or an attribute is compared. */
public enum Operator {
  EQUALS("is", 1),
  CONTAINS("contains", 1),
  STARTS_WITH("starts with", 1),
  IS_EMPTY("is empty", 0),
  LESS("is less than", 1),
  AT_MOST("is at most", 1),
  MORE("is more than", 1),
  AT_LEAST("is at least", 1),
  BETWEEN("is between", 2);

  private final String words;
  private final int operands;

  Operator(String words, int operands) {
    this.words = words;
    this.operands = operands;
  }

  /** Refuses values that are not as many as it compares with. */
  void requireFor(List<Operand> values) {
    if (values.size() != operands) {
      throw new Refused(
          "\u201c%s\u201d takes %d values, not %d".formatted(words, operands, values.size()));
    }
  }

  public String words() {
    return words;
  }

  /** How many values it compares with. */
  public int operands() {
    return operands;
  }
}
