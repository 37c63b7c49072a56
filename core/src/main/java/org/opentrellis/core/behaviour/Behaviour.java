package org.opentrellis.core.behaviour;

import java.util.List;
import java.util.Map;
import org.opentrellis.core.journey.StepId;

/**
 * Everything that a dry run assumes about people. Delays are lognormal, given by median and sigma
 * (the standard deviation of the logarithm), except the way to a purchase, which is exponential.
 *
 * @param groups at least one; their shares add up to 1
 * @param openMedianHours half of the people who open have done so by then, on the attention clock
 * @param openSigma how widely the delays of opens spread
 * @param clickMedianMinutes from the open to the click
 * @param clickSigma how widely those spread
 * @param textMedianMinutes half of the people who read a text have done so by then
 * @param attention when in the week people look at their mail
 * @param buyAfterClick chance to buy because of a click
 * @param buyMeanHours mean time from click to purchase
 * @param orderMedian half of the orders are worth less, in the account's currency
 * @param orderSigma how widely the values of orders spread
 * @param offers what is bought; empty for one kind of thing
 * @param tiredness what too much mail does
 * @param fading what each further email of a journey multiplies the pull by; 1 for nothing
 * @param usual what people do with an email that nothing else is said about
 * @param emails what they do with single emails, by step or variant
 */
public record Behaviour(
    List<AudienceGroup> groups,
    Assumed openMedianHours,
    Assumed openSigma,
    Assumed clickMedianMinutes,
    Assumed clickSigma,
    Assumed textMedianMinutes,
    Attention attention,
    Assumed buyAfterClick,
    Assumed buyMeanHours,
    Assumed orderMedian,
    Assumed orderSigma,
    List<Offer> offers,
    Tiredness tiredness,
    Assumed fading,
    Reaction usual,
    Map<StepId, Reaction> emails) {
  public Behaviour {
    groups = List.copyOf(groups);
    offers = List.copyOf(offers);
    emails = Map.copyOf(emails);
    AudienceGroup.requireWhole(groups);
    openMedianHours.positive("the median time to an open");
    openSigma.positive("the spread of the time to an open");
    clickMedianMinutes.positive("the median time to a click");
    clickSigma.positive("the spread of the time to a click");
    textMedianMinutes.positive("the median time to read a text");
    buyAfterClick.share("the chance to buy after a click");
    buyMeanHours.positive("the mean time to a purchase");
    orderMedian.positive("the median value of an order");
    orderSigma.positive("the spread of the values of orders");
    fading.positive("the fading");
  }

  /** A copy to be changed. */
  public BehaviourEdit edit() {
    return new BehaviourEdit(this);
  }

  public Reaction reactionTo(StepId email) {
    return emails.getOrDefault(email, usual);
  }
}
