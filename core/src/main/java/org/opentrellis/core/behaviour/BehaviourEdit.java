package org.opentrellis.core.behaviour;

import java.util.List;
import java.util.Map;
import org.opentrellis.core.journey.StepId;

/** Assumptions with some exchanged: {@code behaviour.edit().usual(reaction).done()}. */
public final class BehaviourEdit {
  private List<AudienceGroup> groups;
  private Assumed openMedianHours;
  private Assumed openSigma;
  private Assumed clickMedianMinutes;
  private Assumed clickSigma;
  private final Assumed textMedianMinutes;
  private Attention attention;
  private Assumed buyAfterClick;
  private Assumed buyMeanHours;
  private final Assumed orderMedian;
  private final Assumed orderSigma;
  private List<Offer> offers;
  private Tiredness tiredness;
  private Assumed fading;
  private Reaction usual;
  private Map<StepId, Reaction> emails;

  BehaviourEdit(Behaviour from) {
    groups = from.groups();
    openMedianHours = from.openMedianHours();
    openSigma = from.openSigma();
    clickMedianMinutes = from.clickMedianMinutes();
    clickSigma = from.clickSigma();
    textMedianMinutes = from.textMedianMinutes();
    attention = from.attention();
    buyAfterClick = from.buyAfterClick();
    buyMeanHours = from.buyMeanHours();
    orderMedian = from.orderMedian();
    orderSigma = from.orderSigma();
    offers = from.offers();
    tiredness = from.tiredness();
    fading = from.fading();
    usual = from.usual();
    emails = from.emails();
  }

  public BehaviourEdit groups(List<AudienceGroup> other) {
    groups = other;
    return this;
  }

  public BehaviourEdit openMedianHours(Assumed other) {
    openMedianHours = other;
    return this;
  }

  public BehaviourEdit openSigma(Assumed other) {
    openSigma = other;
    return this;
  }

  public BehaviourEdit clickMedianMinutes(Assumed other) {
    clickMedianMinutes = other;
    return this;
  }

  public BehaviourEdit clickSigma(Assumed other) {
    clickSigma = other;
    return this;
  }

  public BehaviourEdit attention(Attention other) {
    attention = other;
    return this;
  }

  public BehaviourEdit buyAfterClick(Assumed other) {
    buyAfterClick = other;
    return this;
  }

  public BehaviourEdit buyMeanHours(Assumed other) {
    buyMeanHours = other;
    return this;
  }

  public BehaviourEdit offers(List<Offer> other) {
    offers = other;
    return this;
  }

  public BehaviourEdit tiredness(Tiredness other) {
    tiredness = other;
    return this;
  }

  public BehaviourEdit fading(Assumed other) {
    fading = other;
    return this;
  }

  public BehaviourEdit usual(Reaction other) {
    usual = other;
    return this;
  }

  public BehaviourEdit emails(Map<StepId, Reaction> other) {
    emails = other;
    return this;
  }

  public Behaviour done() {
    return new Behaviour(
        groups,
        openMedianHours,
        openSigma,
        clickMedianMinutes,
        clickSigma,
        textMedianMinutes,
        attention,
        buyAfterClick,
        buyMeanHours,
        orderMedian,
        orderSigma,
        offers,
        tiredness,
        fading,
        usual,
        emails);
  }
}
