package org.opentrellis.core.search;

import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.problem.Refused;

/** What may vary about a journey, and how far. What it says now is always among what is tried. */
public sealed interface Leeway
    permits Leeway.Length,
        Leeway.ClockTime,
        Leeway.OnDays,
        Leeway.Tries,
        Leeway.Order,
        Leeway.Absence,
        Leeway.Weights,
        Leeway.Window,
        Leeway.Frequency {

  /** More levels than this of one thing are refused. */
  int MOST_LEVELS = 250;

  /**
   * How long a wait lasts, or a branch waits at most, in the unit that it is written in.
   *
   * @param from more than 0
   * @param to at least {@code from}
   * @param by more than 0
   */
  record Length(StepId step, double from, double to, double by) implements Leeway {
    public Length {
      if (!(from > 0) || !(to >= from) || !(by > 0)) {
        throw new Refused(
            "a length goes from more than 0 up to no less, by more than 0, not from %s to %s by %s"
                .formatted(from, to, by));
      }
      few((to - from) / by + 1);
    }
  }

  /**
   * The time of day that a wait goes on to.
   *
   * @param byMinutes 5 to 1440
   */
  record ClockTime(StepId step, LocalTime from, LocalTime to, int byMinutes) implements Leeway {
    public ClockTime {
      if (to.isBefore(from) || byMinutes < 5 || byMinutes > 1440) {
        throw new Refused(
            "times of day go up by 5 to 1440 minutes, not from %s to %s by %d"
                .formatted(from, to, byMinutes));
      }
      few((to.toSecondOfDay() - from.toSecondOfDay()) / 60.0 / byMinutes + 1);
    }
  }

  /**
   * The weekdays that a wait may end on.
   *
   * @param choices at least one
   */
  record OnDays(StepId step, List<WeekdayChoice> choices) implements Leeway {
    public OnDays {
      choices = List.copyOf(choices);
      some(choices);
    }
  }

  /**
   * How often an email is tried again with those who have not opened it.
   *
   * @param from 0 to 3
   * @param to {@code from} to 3
   */
  record Tries(StepId step, int from, int to) implements Leeway {
    public Tries {
      if (from < 0 || to < from || to > 3) {
        throw new Refused("tries go from 0 to 3, not from %d to %d".formatted(from, to));
      }
    }
  }

  /** Whether an email and the next one change places. */
  record Order(StepId step) implements Leeway {}

  /** Whether a step is left out. */
  record Absence(StepId step) implements Leeway {}

  /**
   * The shares of a split test.
   *
   * @param by percent, 5 to 50
   */
  record Weights(StepId step, int by) implements Leeway {
    public Weights {
      if (by < 5 || by > 50) {
        throw new Refused("the shares of a split test move by 5 to 50 percent, not " + by);
      }
    }
  }

  /**
   * When messages may go out.
   *
   * @param windows at least one
   * @param orAlways whether at any time is tried, too
   */
  record Window(List<SendWindow> windows, boolean orAlways) implements Leeway {
    public Window {
      windows = List.copyOf(windows);
      some(windows);
    }
  }

  /**
   * How many emails are enough.
   *
   * @param guards at least one
   * @param orNone whether no guard is tried, too
   */
  record Frequency(List<FrequencyGuard> guards, boolean orNone) implements Leeway {
    public Frequency {
      guards = List.copyOf(guards);
      some(guards);
    }
  }

  /** The step that it is about; empty for a rule of the whole journey. */
  default Optional<StepId> about() {
    return switch (this) {
      case Length length -> Optional.of(length.step());
      case ClockTime time -> Optional.of(time.step());
      case OnDays days -> Optional.of(days.step());
      case Tries tries -> Optional.of(tries.step());
      case Order order -> Optional.of(order.step());
      case Absence absence -> Optional.of(absence.step());
      case Weights weights -> Optional.of(weights.step());
      case Window window -> Optional.empty();
      case Frequency frequency -> Optional.empty();
    };
  }

  private static void few(double levels) {
    if (levels > MOST_LEVELS + 1e-9) {
      throw new Refused(
          "at most %d values of one thing are tried, not %d".formatted(MOST_LEVELS, (long) levels));
    }
  }

  private static void some(List<?> choices) {
    if (choices.isEmpty() || choices.size() > MOST_LEVELS) {
      throw new Refused("1 to %d choices are tried of one thing".formatted(MOST_LEVELS));
    }
  }
}
