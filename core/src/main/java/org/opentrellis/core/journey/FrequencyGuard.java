package org.opentrellis.core.journey;

/**
 * Keeps a journey from sending to somebody who has had enough, from any journey.
 *
 * @param most emails that a person gets in the days named; 1 to 100
 * @param days of 24 hours, 1 to 30
 * @param then what becomes of a message that would be one too many
 * @param countsTexts whether texts are counted and held back, too, or emails alone
 */
public record FrequencyGuard(int most, int days, Then then, boolean countsTexts) {

  /** What becomes of an email that would be one too many. */
  public enum Then {
    /** It waits until there is room. */
    HOLD,
    /** The person goes on without it. */
    SKIP
  }

  public FrequencyGuard {
    Text.inRange("the emails that a frequency guard lets through", most, 1, 100);
    Text.inRange("the days of a frequency guard", days, 1, 30);
  }
}
