package org.opentrellis.core.people;

import java.time.Duration;

/** How often somebody wants email from us at most. */
public enum HowOften {
  AS_IT_COMES("as it comes", Duration.ZERO),
  ONE_A_DAY("at most one email a day", Duration.ofDays(1)),
  ONE_A_WEEK("at most one email a week", Duration.ofDays(7));

  private final String words;
  private final Duration between;

  HowOften(String words, Duration between) {
    this.words = words;
    this.between = between;
  }

  /** As a sentence goes on with it. */
  public String words() {
    return words;
  }

  /** What lies between two emails at least. */
  public Duration between() {
    return between;
  }
}
