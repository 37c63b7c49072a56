package org.opentrellis.core.calibrate;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Variant;

/**
 * The model's values as a history shows them, each with its 95% interval.
 *
 * @param people in the history
 * @param sends in the history
 * @param keennessMean mean chance to open a usual email
 * @param keennessSpread how much people differ
 * @param preloads share of people whose mail program opens by itself
 * @param bounced share of sends that did not arrive
 * @param openMedianHours half of the people who open have done so by then, on the attention clock
 * @param openSigma how widely these delays spread
 * @param attention 168 hours, Monday 00:00 first; empty where too few opens say anything, or they
 *     could come of a clock that runs evenly
 * @param buyAfterClick chance to buy because of a click, however late; empty if nobody clicked
 * @param buyMeanHours how long that takes on average; empty where too few bought to tell
 * @param buysAnyway chance to buy within 30 days without a click; empty if everybody clicked
 * @param messages by message
 */
public record Calibration(
    long people,
    long sends,
    Estimate keennessMean,
    Estimate keennessSpread,
    Estimate preloads,
    Estimate bounced,
    Estimate openMedianHours,
    Estimate openSigma,
    Optional<List<Estimate>> attention,
    Optional<Estimate> buyAfterClick,
    Optional<Estimate> buyMeanHours,
    Optional<Estimate> buysAnyway,
    Map<String, OfMessage> messages) {

  /**
   * Each is empty where the history says nothing of it.
   *
   * @param pull against the usual message: the logarithms of all pulls, weighted by how many were
   *     delivered, have a mean of 0
   * @param clickGivenOpen of those who opened it, who clicked
   * @param unsubscribeGivenOpen of those who opened it, who unsubscribed
   */
  public record OfMessage(
      Optional<Estimate> pull,
      Optional<Estimate> clickGivenOpen,
      Optional<Estimate> unsubscribeGivenOpen) {}

  /**
   * Assumptions with what was measured in them; the steps that send a message take its values.
   *
   * @param sends the steps of the journey that send something
   */
  public Behaviour into(Behaviour behaviour, List<? extends Step.Send> sends) {
    Map<StepId, Reaction> emails = new HashMap<>(behaviour.emails());
    double scale = scale(behaviour.groups());
    for (Step.Send send : sends) {
      Reaction before = behaviour.reactionTo(send.id());
      measure(emails, send.id(), send.message().value(), before, scale);
    }
    return into(behaviour, emails);
  }

  /**
   * The same of a history that calls each message by the id of the step or variant that sent it.
   */
  public Behaviour intoSteps(Behaviour behaviour, List<? extends Step.Send> sends) {
    Map<StepId, Reaction> emails = new HashMap<>(behaviour.emails());
    double scale = scale(behaviour.groups());
    for (Step.Send send : sends) {
      Reaction usual = behaviour.reactionTo(send.id());
      measure(emails, send.id(), send.id().value(), usual, scale);
      for (Variant variant : send.versions()) {
        Reaction before = behaviour.emails().getOrDefault(variant.id(), usual);
        measure(emails, variant.id(), variant.id().value(), before, scale);
      }
    }
    return into(behaviour, emails);
  }

  /**
   * What pulls are to be taken by. They are measured against people of the keenness that was
   * measured with them; of several groups each keeps its own, so that the usual email would be
   * opened by more or fewer.
   */
  double scale(List<AudienceGroup> groups) {
    return groups.size() == 1 ? 1 : OpenChance.scale(groups, keennessMean.value());
  }

  private void measure(
      Map<StepId, Reaction> emails, StepId step, String called, Reaction before, double scale) {
    OfMessage of = messages.get(called);
    if (of != null) {
      emails.put(step, measured(of, before, scale));
    }
  }

  private Behaviour into(Behaviour behaviour, Map<StepId, Reaction> emails) {
    List<AudienceGroup> groups =
        behaviour.groups().stream()
            .map(group -> measured(group, behaviour.groups().size()))
            .toList();
    return behaviour
        .edit()
        .groups(groups)
        .openMedianHours(openMedianHours.measured())
        .openSigma(openSigma.measured())
        .attention(
            attention
                .map(hours -> new AttentionFit(hours).attention())
                .orElse(behaviour.attention()))
        .buyAfterClick(measured(buyAfterClick, behaviour.buyAfterClick()))
        .buyMeanHours(measured(buyMeanHours, behaviour.buyMeanHours()))
        .emails(emails)
        .done();
  }

  private static Reaction measured(OfMessage of, Reaction before, double scale) {
    return new Reaction(
        measured(of.pull.map(pull -> pull.times(scale)), before.pull()),
        measured(of.clickGivenOpen, before.clickGivenOpen()),
        measured(of.unsubscribeGivenOpen, before.unsubscribeGivenOpen()),
        before.complaintGivenOpen(),
        before.linkWeights());
  }

  /** What was measured, or what was assumed before where nothing was. */
  private static Assumed measured(Optional<Estimate> estimate, Assumed before) {
    return estimate.map(Estimate::measured).orElse(before);
  }

  /** One group is all people; of several only what is the same for all is measured. */
  private AudienceGroup measured(AudienceGroup group, int groups) {
    Keenness keenness =
        groups == 1 ? new Keenness(keennessMean.value(), keennessSpread.value()) : group.keenness();
    return group
        .edit()
        .keenness(keenness)
        .preloads(preloads.measured())
        .softBounce(bounced.measured())
        .buysAnyway(groups == 1 ? measured(buysAnyway, group.buysAnyway()) : group.buysAnyway())
        .done();
  }

  /** What was measured of all messages together, of how many, with intervals. */
  public List<String> sentences() {
    return CalibrationWords.sentences(this);
  }

  /** Whether a message is in the history. */
  public boolean knows(MessageId message) {
    return messages.containsKey(message.value());
  }
}
