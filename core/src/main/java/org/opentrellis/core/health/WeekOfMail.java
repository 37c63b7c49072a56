package org.opentrellis.core.health;

import java.time.LocalDate;

/**
 * What became of a week's emails.
 *
 * @param monday its first day
 * @param sent so many went out
 * @param bounced so many came back
 * @param complained so many people complained
 * @param unsubscribed so many people unsubscribed
 */
public record WeekOfMail(
    LocalDate monday, long sent, long bounced, long complained, long unsubscribed) {

  /** What can go wrong with an email. */
  public enum Loss {
    BOUNCED("came back"),
    COMPLAINED("were complained about"),
    UNSUBSCRIBED("made somebody unsubscribe");

    private final String words;

    Loss(String words) {
      this.words = words;
    }

    String words() {
      return words;
    }
  }

  long of(Loss loss) {
    return switch (loss) {
      case BOUNCED -> bounced;
      case COMPLAINED -> complained;
      case UNSUBSCRIBED -> unsubscribed;
    };
  }
}
