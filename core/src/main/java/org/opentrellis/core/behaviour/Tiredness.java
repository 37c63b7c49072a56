package org.opentrellis.core.behaviour;

import org.opentrellis.core.problem.Refused;

/**
 * What too much mail does: each email above a number in the last seven days lowers the pull of the
 * next and raises the chance to unsubscribe.
 *
 * @param emailsPerWeek how many emails in seven days leave people as they are
 * @param pullFactor what each further one multiplies the pull by, at most 1
 * @param unsubscribeFactor what it multiplies the chance to unsubscribe by, at least 1
 */
public record Tiredness(Assumed emailsPerWeek, Assumed pullFactor, Assumed unsubscribeFactor) {
  public Tiredness {
    emailsPerWeek.positive("the emails a week that leave people as they are");
    pullFactor.positive("the pull's factor").share("the pull's factor");
    if (unsubscribeFactor.value() < 1 || unsubscribeFactor.value() > 100) {
      throw new Refused(
          "the factor on unsubscribing must be 1 to 100, not " + unsubscribeFactor.value());
    }
  }

  /** Whether it changes nothing. */
  public boolean isNone() {
    return pullFactor.value() == 1 && unsubscribeFactor.value() == 1;
  }
}
