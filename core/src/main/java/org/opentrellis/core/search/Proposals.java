package org.opentrellis.core.search;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Tries;
import org.opentrellis.core.vary.VariedRun;

/**
 * All that may vary about a journey, with ranges to begin with, in the order of the run sheet.
 * Steps of strands belong to several journeys, so they are left as they are.
 */
public final class Proposals {
  private static final LocalTime MORNING = LocalTime.of(7, 0);
  private static final LocalTime EVENING = LocalTime.of(19, 0);
  private static final int THREE_HOURS = 180;
  private static final Set<DayOfWeek> WORKING = EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY);

  private final VariedRun plan;
  private final List<Proposal> proposals = new ArrayList<>();

  private Proposals(VariedRun plan) {
    this.plan = plan;
  }

  public static List<Proposal> of(VariedRun plan) {
    Proposals all = new Proposals(plan);
    Set<StepId> again = furtherTries(plan);
    plan.journey().steps().forEach(step -> all.about(step, again.contains(step.id())));
    all.propose(all.windows(), false);
    all.propose(all.guards(), false);
    return all.proposals;
  }

  private static Set<StepId> furtherTries(VariedRun plan) {
    Set<StepId> again = new HashSet<>();
    Journey expanded = Strands.expand(plan.journey(), plan.catalogue());
    Tries.of(expanded).forEach(chain -> again.addAll(chain.subList(1, chain.size())));
    return again;
  }

  private void propose(Leeway leeway, boolean usual) {
    proposals.add(Proposal.of(leeway, plan, usual));
  }

  private void about(Step step, boolean furtherTry) {
    WaitFactors.amount(step).ifPresent(amount -> propose(lengths(step.id(), amount), true));
    WaitFactors.moment(step)
        .ifPresent(
            moment -> {
              propose(new Leeway.ClockTime(step.id(), MORNING, EVENING, THREE_HOURS), false);
              propose(weekdays(step.id()), false);
            });
    if (step instanceof Step.SplitTest split) {
      propose(new Leeway.Weights(step.id(), split.arms().size() == 2 ? 10 : 25), false);
    }
    if (step instanceof Step.SendEmail && !furtherTry) {
      propose(new Leeway.Tries(step.id(), 0, 2), false);
      if (Neighbours.emailBehind(plan.journey(), step.id()).filter(this::begins).isPresent()) {
        propose(new Leeway.Order(step.id()), false);
      }
    }
    if (step instanceof Step.Send && !furtherTry) {
      propose(new Leeway.Absence(step.id()), false);
    }
  }

  /** Whether an email is no further try of another. */
  private boolean begins(Step.SendEmail email) {
    return !furtherTries(plan).contains(email.id());
  }

  /** Some five lengths around what is written. */
  private static Leeway lengths(StepId step, Amount amount) {
    double count = amount.count();
    if (amount.unit().exact() && count < 3) {
      return new Leeway.Length(step, count / 2, count * 2, count / 2);
    }
    double by = Math.max(1, Math.rint(count / 4));
    return new Leeway.Length(step, Math.max(1, count - 2 * by), count + 2 * by, by);
  }

  private static Leeway weekdays(StepId step) {
    return new Leeway.OnDays(
        step,
        List.of(
            new WeekdayChoice(Set.of()),
            new WeekdayChoice(WORKING),
            new WeekdayChoice(EnumSet.range(DayOfWeek.TUESDAY, DayOfWeek.THURSDAY)),
            new WeekdayChoice(EnumSet.of(DayOfWeek.SATURDAY, DayOfWeek.SUNDAY))));
  }

  private Leeway windows() {
    return new Leeway.Window(
        List.of(
            new SendWindow(WORKING, LocalTime.of(8, 0), LocalTime.of(18, 0)),
            new SendWindow(Set.of(), LocalTime.of(8, 0), LocalTime.of(20, 0))),
        true);
  }

  private Leeway guards() {
    return new Leeway.Frequency(
        List.of(
            new FrequencyGuard(1, 1, FrequencyGuard.Then.HOLD, false),
            new FrequencyGuard(2, 7, FrequencyGuard.Then.HOLD, false),
            new FrequencyGuard(3, 7, FrequencyGuard.Then.HOLD, false)),
        true);
  }
}
