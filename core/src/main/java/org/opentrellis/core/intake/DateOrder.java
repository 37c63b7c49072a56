package org.opentrellis.core.intake;

/** In which order a table writes dates, such as 03/04/2027. */
public enum DateOrder {
  YEAR_FIRST("year, month, day"),
  DAY_FIRST("day, month, year"),
  MONTH_FIRST("month, day, year");

  private final String words;

  DateOrder(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
