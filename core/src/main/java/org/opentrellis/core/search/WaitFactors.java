package org.opentrellis.core.search;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.problem.Refused;

/** What may vary about a wait: how long, until what time of day, on which weekdays. */
final class WaitFactors {
  private final Factors factors;

  WaitFactors(Factors factors) {
    this.factors = factors;
  }

  /** The amount that a step waits, at least or at most; empty if it has none. */
  static Optional<Amount> amount(Step step) {
    return switch (step) {
      case Step.Branch branch -> branch.waitUpTo();
      case Step.Wait wait ->
          switch (wait.rule()) {
            case WaitRule.For rule -> Optional.of(rule.amount());
            case WaitRule.UntilHappens until -> Optional.of(until.atMost());
            case WaitRule.Until until -> Optional.empty();
            case WaitRule.UntilDate until -> Optional.empty();
            case WaitRule.UntilDay until -> Optional.empty();
            case WaitRule.AroundDate around -> Optional.empty();
            case WaitRule.UntilNthWeekday until -> Optional.empty();
          };
      case Step.Send send -> Optional.empty();
      case Step.SplitTest split -> Optional.empty();
      case Step.Change change -> Optional.empty();
      case Step.Include include -> Optional.empty();
      case Step.HandOver over -> Optional.empty();
      case Step.Notify notify -> Optional.empty();
      case Step.Finish finish -> Optional.empty();
    };
  }

  /** The time of day that a wait goes on to; empty if it has none. */
  static Optional<TimeOfDay> moment(Step step) {
    if (!(step instanceof Step.Wait wait)) {
      return Optional.empty();
    }
    return wait.rule() instanceof WaitRule.Until until
        ? Optional.of(until.moment())
        : wait.rule() instanceof WaitRule.For rule ? rule.thenUntil() : Optional.empty();
  }

  private static Step lasting(Step step, Amount amount) {
    if (step instanceof Step.Branch branch && branch.waitUpTo().isPresent()) {
      return new Step.Branch(branch.id(), Optional.of(amount), branch.arms(), branch.otherwise());
    }
    if (step instanceof Step.Wait wait && wait.rule() instanceof WaitRule.For rule) {
      return new Step.Wait(wait.id(), new WaitRule.For(amount, rule.thenUntil()));
    }
    if (step instanceof Step.Wait wait && wait.rule() instanceof WaitRule.UntilHappens until) {
      return new Step.Wait(wait.id(), new WaitRule.UntilHappens(until.condition(), amount));
    }
    return step;
  }

  private static Step until(Step step, UnaryOperator<TimeOfDay> change) {
    if (step instanceof Step.Wait wait && wait.rule() instanceof WaitRule.Until until) {
      return new Step.Wait(wait.id(), new WaitRule.Until(change.apply(until.moment())));
    }
    if (step instanceof Step.Wait wait && wait.rule() instanceof WaitRule.For rule) {
      return new Step.Wait(
          wait.id(), new WaitRule.For(rule.amount(), rule.thenUntil().map(change)));
    }
    return step;
  }

  Factor length(Leeway.Length leeway) {
    Step step = factors.step(leeway.step());
    Amount now = amount(step).orElseThrow(() -> none(leeway.step(), "waits no amount of time"));
    Set<Double> counts = new TreeSet<>(Set.of(now.count()));
    for (int i = 0; leeway.from() + i * leeway.by() <= leeway.to() + 1e-9; i++) {
      double count = Math.round((leeway.from() + i * leeway.by()) * 1e6) / 1e6;
      counts.add(now.unit().exact() ? count : Math.max(1, Math.rint(count)));
    }
    List<Level> levels = new ArrayList<>();
    for (double count : counts) {
      Amount amount = Amount.of(count, now.unit());
      levels.add(
          factors.reading(
              step.id(),
              amount.inWords(),
              amount.inWords(),
              journey -> StepEdits.change(journey, step.id(), one -> lasting(one, amount))));
    }
    return new Factor(
        "length:" + step.id(),
        factors.placed(step),
        levels,
        List.copyOf(counts).indexOf(now.count()));
  }

  Factor clockTime(Leeway.ClockTime leeway) {
    Step step = factors.step(leeway.step());
    TimeOfDay now = moment(step).orElseThrow(() -> none(leeway.step(), "has no time of day"));
    Set<LocalTime> times = new TreeSet<>(Set.of(now.time()));
    for (int minute = minutes(leeway.from());
        minute <= minutes(leeway.to());
        minute += leeway.byMinutes()) {
      times.add(LocalTime.of(minute / 60, minute % 60));
    }
    List<Level> levels = new ArrayList<>();
    for (LocalTime time : times) {
      levels.add(at(step.id(), time.toString(), moment -> new TimeOfDay(time, moment.days())));
    }
    return new Factor(
        "time:" + step.id(), factors.placed(step), levels, List.copyOf(times).indexOf(now.time()));
  }

  private static int minutes(LocalTime time) {
    return time.toSecondOfDay() / 60;
  }

  Factor onDays(Leeway.OnDays leeway) {
    Step step = factors.step(leeway.step());
    TimeOfDay now = moment(step).orElseThrow(() -> none(leeway.step(), "has no time of day"));
    List<Set<DayOfWeek>> choices = new ArrayList<>(List.of(now.days()));
    leeway.choices().stream()
        .map(WeekdayChoice::days)
        .filter(days -> !choices.contains(days))
        .forEach(choices::add);
    List<Level> levels = new ArrayList<>();
    for (Set<DayOfWeek> days : choices) {
      String words = new TimeOfDay(now.time(), days).inWords();
      String brief =
          days.size() == 7 ? "every day" : words.substring(words.indexOf(" on ") + " on ".length());
      levels.add(at(step.id(), brief, moment -> new TimeOfDay(moment.time(), days)));
    }
    return new Factor("days:" + step.id(), factors.placed(step), levels, 0);
  }

  private Level at(StepId id, String brief, UnaryOperator<TimeOfDay> change) {
    return factors.reading(
        id, brief, brief, journey -> StepEdits.change(journey, id, step -> until(step, change)));
  }

  private static Refused none(StepId id, String what) {
    return new Refused("step %s %s that could vary".formatted(id, what));
  }
}
