package org.opentrellis.core.intake;

/** What stands before the decimals of a table's numbers. */
public enum DecimalMark {
  POINT(".", ","),
  COMMA(",", ".");

  private final String mark;
  private final String between;

  DecimalMark(String mark, String between) {
    this.mark = mark;
    this.between = between;
  }

  String mark() {
    return mark;
  }

  /** What may part thousands. */
  String between() {
    return between;
  }
}
