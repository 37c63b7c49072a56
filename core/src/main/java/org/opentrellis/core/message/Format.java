package org.opentrellis.core.message;

/** How a value is written, by the account's language and currency. */
public enum Format {
  /** A date as 14 March 2027, a number as 1,234.5, words as they are. */
  USUAL("as usual"),
  CAPITAL("with a capital letter"),
  DAY_AND_MONTH("day and month"),
  WEEKDAY("weekday"),
  WHOLE("whole number"),
  AMOUNT("amount of money");

  private final String words;

  Format(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
