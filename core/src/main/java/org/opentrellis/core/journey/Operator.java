package org.opentrellis.core.journey;

/** How a field is compared. */
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

  public String words() {
    return words;
  }

  /** How many values it compares with. */
  public int operands() {
    return operands;
  }
}
