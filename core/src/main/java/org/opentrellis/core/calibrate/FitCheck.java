package org.opentrellis.core.calibrate;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.Proportion;
import org.opentrellis.core.stats.Wilson;

/**
 * A calibrated model beside the history that it was fitted to, one message at a time.
 *
 * @param message as the history calls it
 * @param step a step of the journey that sends it
 * @param delivered in the history
 * @param opened recorded opens in the history, of delivered
 * @param openedLow the 95% interval's lower end (Wilson)
 * @param openedHigh its upper end
 * @param openedInModel what the model expects to be recorded
 * @param clicked clicks in the history, of delivered
 * @param clickedInModel what the model expects
 * @param fits whether what the model expects of opens lies within the history's interval
 */
public record FitCheck(
    String message,
    String step,
    long delivered,
    double opened,
    double openedLow,
    double openedHigh,
    double openedInModel,
    double clicked,
    double clickedInModel,
    boolean fits) {
  /**
   * @param behaviour what was fitted
   * @param sends the journey's steps that send something
   * @return a line for each message of the history that the journey sends, by name
   */
  public static List<FitCheck> of(
      List<SendRecord> history, Behaviour behaviour, List<? extends Step.Send> sends) {
    TreeMap<String, List<SendRecord>> byMessage = new TreeMap<>();
    for (SendRecord record : history) {
      if (record.delivered().isPresent()) {
        byMessage.computeIfAbsent(record.message(), one -> new ArrayList<>()).add(record);
      }
    }
    List<FitCheck> checks = new ArrayList<>();
    byMessage.forEach(
        (message, records) ->
            sends.stream()
                .filter(send -> send.message().value().equals(message))
                .findFirst()
                .ifPresent(send -> checks.add(check(message, records, behaviour, send))));
    return checks;
  }

  private static FitCheck check(
      String message, List<SendRecord> records, Behaviour behaviour, Step.Send send) {
    long delivered = records.size();
    long opened = records.stream().filter(r -> r.opened().isPresent()).count();
    long clicked = records.stream().filter(r -> r.clicked().isPresent()).count();
    Interval interval = Wilson.interval(new Proportion(opened, delivered), Confidence.NINETY_FIVE);
    Reaction reaction = behaviour.reactionTo(send.id());
    double byPeople = 0;
    double recorded = 0;
    for (AudienceGroup group : behaviour.groups()) {
      double opens = OpenChance.of(group, reaction.pull().value());
      double preloads = group.preloads().value();
      byPeople += group.share() * opens;
      recorded += group.share() * (preloads + (1 - preloads) * opens);
    }
    return new FitCheck(
        message,
        send.id().value(),
        delivered,
        (double) opened / delivered,
        interval.low(),
        interval.high(),
        recorded,
        (double) clicked / delivered,
        byPeople * reaction.clickGivenOpen().value(),
        interval.contains(recorded));
  }
}
