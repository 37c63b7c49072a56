package org.opentrellis.core.calendar;

/** Units of a wait. Minutes and hours are exact; the others keep the wall-clock time. */
public enum TimeUnit {
  MINUTES("minute", 60L),
  HOURS("hour", 3_600L),
  DAYS("day", 86_400L),
  WEEKS("week", 604_800L),
  MONTHS("month", 2_629_746L),
  YEARS("year", 31_556_952L),
  /** Monday to Friday. */
  WORKING_DAYS("working day", 120_960L);

  private final String word;
  private final long nominalSeconds;

  TimeUnit(String word, long nominalSeconds) {
    this.word = word;
    this.nominalSeconds = nominalSeconds;
  }

  /** The singular English word. */
  public String word() {
    return word;
  }

  /**
   * The mean Gregorian length in seconds; for limits and rough shares, never for computing a date.
   */
  public long nominalSeconds() {
    return nominalSeconds;
  }

  /** Whether the unit is a fixed number of seconds. */
  public boolean exact() {
    return this == MINUTES || this == HOURS;
  }
}
