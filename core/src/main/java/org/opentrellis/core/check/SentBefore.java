package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.journey.Way;

/**
 * What may have been sent before each step, and how long ago at the least, in nominal hours. A wait
 * for a time of day counts with its mean, half of the time between two such moments; a wait around
 * a date in the record counts a day. A wait until something happens counts in full: who goes on
 * earlier does so because of what they did.
 */
final class SentBefore {
  private static final double DAY = 24;
  private static final double WEEK = 7 * DAY;
  private static final double MONTH = 365.25 / 12 * DAY;

  /**
   * Where somebody may stand.
   *
   * @param since by send, the hours since it went out at the least
   * @param path hours since each send of the way with the most of them in a week
   * @param elapsed hours since entry at the least
   */
  record State(Map<StepId, Double> since, List<Double> path, double elapsed) {

    State later(double hours) {
      Map<StepId, Double> moved = new HashMap<>();
      since.forEach((send, ago) -> moved.put(send, ago + hours));
      return new State(moved, path.stream().map(ago -> ago + hours).toList(), elapsed + hours);
    }

    State with(Step.Send send) {
      Map<StepId, Double> more = new HashMap<>(since);
      more.put(send.id(), 0.0);
      List<Double> longer = new ArrayList<>(path);
      if (send.channel() == Channel.EMAIL) {
        longer.add(0.0);
      }
      return new State(more, longer, elapsed);
    }

    long emailsInAWeek() {
      return path.stream().filter(ago -> ago < WEEK).count();
    }

    /** Whoever may have come by either way. */
    State or(State other) {
      Map<StepId, Double> both = new HashMap<>(since);
      other.since.forEach((send, ago) -> both.merge(send, ago, Math::min));
      boolean more = other.emailsInAWeek() > emailsInAWeek();
      return new State(both, more ? other.path : path, Math.min(elapsed, other.elapsed));
    }
  }

  /** Is told of each step, in order. */
  @FunctionalInterface
  interface Visitor {
    void at(Step step, State before);
  }

  private final Visitor visitor;

  private SentBefore(Visitor visitor) {
    this.visitor = visitor;
  }

  static void walk(Journey journey, Visitor visitor) {
    new SentBefore(visitor).through(journey.body(), new State(Map.of(), List.of(), 0));
  }

  /** Goes through a sequence; empty if nobody comes out at its end. */
  private Optional<State> through(List<Step> steps, State before) {
    State state = before;
    for (Step step : steps) {
      visitor.at(step, state);
      Optional<State> out = through(step, state);
      if (out.isEmpty()) {
        return out;
      }
      state = out.get();
    }
    return Optional.of(state);
  }

  private Optional<State> through(Step step, State state) {
    return switch (step) {
      case Step.Send send -> Optional.of(state.with(send));
      case Step.Wait wait -> Optional.of(state.later(hours(wait.rule(), state.elapsed())));
      case Step.Branch branch -> throughWays(branch, state);
      case Step.SplitTest split -> throughWays(split, state);
      case Step.HandOver over -> over.thenFinish() ? Optional.empty() : Optional.of(state);
      case Step.Finish finish -> Optional.empty();
      case Step.Change change -> Optional.of(state);
      case Step.Include include -> Optional.of(state);
      case Step.Notify notify -> Optional.of(state);
    };
  }

  /** Whether nobody goes on behind a step. */
  static boolean ends(Step step) {
    return switch (step) {
      case Step.Finish finish -> true;
      case Step.HandOver over -> over.thenFinish();
      case Step.Branch branch -> allEnd(branch.ways());
      case Step.SplitTest split -> allEnd(split.ways());
      case Step.Send send -> false;
      case Step.Wait wait -> false;
      case Step.Change change -> change.changes().stream().anyMatch(SentBefore::leaves);
      case Step.Include include -> false;
      case Step.Notify notify -> false;
    };
  }

  /** Whoever is unsubscribed or erased leaves every journey. */
  private static boolean leaves(RecordChange change) {
    return change instanceof RecordChange.Unsubscribe || change instanceof RecordChange.Erase;
  }

  private static boolean allEnd(List<Way> ways) {
    return ways.stream().allMatch(way -> way.steps().stream().anyMatch(SentBefore::ends));
  }

  private Optional<State> throughWays(Step step, State before) {
    double waits =
        step instanceof Step.Branch branch
            ? branch.waitUpTo().map(Amount::nominalHours).orElse(0.0)
            : 0;
    Optional<State> merged = Optional.empty();
    State in = before.later(waits);
    for (Way way : step.ways()) {
      Optional<State> out = through(way.steps(), in);
      if (out.isPresent()) {
        merged = Optional.of(merged.map(other -> other.or(out.get())).orElse(out.get()));
      }
    }
    return merged;
  }

  private static double hours(WaitRule rule, double elapsed) {
    return switch (rule) {
      case WaitRule.For waits ->
          waits.amount().nominalHours() + waits.thenUntil().map(SentBefore::mean).orElse(0.0);
      case WaitRule.Until until -> mean(until.moment());
      case WaitRule.UntilDay until -> Math.max(0, until.day() * DAY - elapsed);
      case WaitRule.UntilHappens until -> until.atMost().nominalHours();
      case WaitRule.UntilDate until -> DAY;
      case WaitRule.AroundDate around -> DAY;
      case WaitRule.UntilNthWeekday until -> MONTH / 2;
    };
  }

  private static double mean(TimeOfDay moment) {
    return WEEK / moment.days().size() / 2;
  }
}
