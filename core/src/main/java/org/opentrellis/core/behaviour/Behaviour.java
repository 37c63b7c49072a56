package org.opentrellis.core.behaviour;

import java.util.List;
import java.util.Map;
import org.opentrellis.core.journey.StepId;

/**
 * Everything that a dry run assumes about people. Delays are lognormal, given by median and sigma
 * (the standard deviation of the logarithm), except the way to a purchase, which is exponential.
 *
 * @param groups at least one; their shares add up to 1
 * @param openMedianHours half of the people who open have done so by then
 * @param openSigma how widely the delays of opens spread
 * @param clickMedianMinutes from the open to the click
 * @param clickSigma how widely those spread
 * @param buyAfterClick chance to buy because of a click
 * @param buyMeanHours mean time from click to purchase
 * @param usual what people do with an email that nothing else is said about
 * @param emails what they do with single emails, by step
 */
public record Behaviour(
    List<AudienceGroup> groups,
    Assumed openMedianHours,
    Assumed openSigma,
    Assumed clickMedianMinutes,
    Assumed clickSigma,
    Assumed buyAfterClick,
    Assumed buyMeanHours,
    Reaction usual,
    Map<StepId, Reaction> emails) {
  public Behaviour {
    groups = List.copyOf(groups);
    emails = Map.copyOf(emails);
    if (groups.isEmpty()) {
      throw new IllegalArgumentException("there must be at least one audience group");
    }
    double total = groups.stream().mapToDouble(AudienceGroup::share).sum();
    if (Math.abs(total - 1) > 1e-6) {
      throw new IllegalArgumentException(
          "the shares of the audience groups must add up to 100%, not "
              + Math.round(total * 1000) / 10.0
              + "%");
    }
    openMedianHours.positive("the median time to an open");
    openSigma.positive("the spread of the time to an open");
    clickMedianMinutes.positive("the median time to a click");
    clickSigma.positive("the spread of the time to a click");
    buyAfterClick.share("the chance to buy after a click");
    buyMeanHours.positive("the mean time to a purchase");
  }

  public Reaction reactionTo(StepId email) {
    return emails.getOrDefault(email, usual);
  }
}
