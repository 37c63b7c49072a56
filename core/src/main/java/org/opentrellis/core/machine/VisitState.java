package org.opentrellis.core.machine;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.SecondaryGoal;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Trigger;

/**
 * One visit put down by stable names. Times are epoch seconds; what has not happened is {@link
 * Person#NEVER}.
 *
 * @param version of the journey that they go through
 * @param number how many times they had entered the journey before
 * @param step where they stand; empty if the visit is over
 * @param by the trigger that brought them
 * @param handedOverBy the journey that handed them over
 * @param cameAt when it happened what brought them in; at the latest at entry
 * @param waiting whether they wait at the step, or are to do it
 * @param until until when they wait at the latest
 * @param steppedAt when they got to the step
 * @param at the last moment at which something was done
 * @param goal when the journey's goal was met
 * @param secondaryGoals when each of its secondary goals was, in the journey's order
 * @param messages in the order in which they went out
 * @param unsubscribedBy the step whose message they unsubscribed because of
 */
public record VisitState(
    JourneyName journey,
    int version,
    int number,
    Optional<StepId> step,
    Optional<Trigger> by,
    Optional<JourneyName> handedOverBy,
    long entryAt,
    long cameAt,
    boolean waiting,
    long until,
    long steppedAt,
    long at,
    Met goal,
    List<SecondaryMet> secondaryGoals,
    List<Message> messages,
    Optional<StepId> unsubscribedBy,
    long unsubscribesAt) {
  /** Instead of until when they wait: as the step says, from when they got to it. */
  static final long ANEW = Long.MIN_VALUE;

  public VisitState {
    secondaryGoals = List.copyOf(secondaryGoals);
    messages = List.copyOf(messages);
  }

  /**
   * When a goal was met, as far as time has come.
   *
   * @param comesAt when it is going to be met, as far as is known
   * @param lookedTo up to when it has not been met
   */
  public record Met(long at, long comesAt, long lookedTo) {}

  public record SecondaryMet(SecondaryGoal goal, Met met) {}

  /** What is known of a secondary goal, if the journey had it. */
  public Optional<Met> secondary(SecondaryGoal goal) {
    return secondaryGoals.stream()
        .filter(one -> one.goal().equals(goal))
        .map(SecondaryMet::met)
        .findFirst();
  }

  /** The same person at another place. */
  VisitState at(
      int otherVersion, Optional<StepId> step, boolean waits, long waitsUntil, long since) {
    return new VisitState(
        journey,
        otherVersion,
        number,
        step,
        by,
        handedOverBy,
        entryAt,
        cameAt,
        waits,
        waitsUntil,
        steppedAt,
        since,
        goal,
        secondaryGoals,
        messages,
        unsubscribedBy,
        unsubscribesAt);
  }

  /**
   * What was sent, and what became of it.
   *
   * @param variant which of the step's variants; empty if it has none
   * @param clickedLink of the first click, if it is known
   * @param linkClickedAt of the links that a condition asks about, when each was first clicked
   */
  public record Message(
      StepId step,
      Optional<StepId> variant,
      long at,
      long deliveredAt,
      long bouncedAt,
      long recordedOpenAt,
      long peopleOpenAt,
      long clickAt,
      Optional<LinkName> clickedLink,
      Map<LinkName, Long> linkClickedAt,
      long orderAt,
      long orderCents) {
    public Message {
      linkClickedAt = Map.copyOf(linkClickedAt);
    }
  }
}
