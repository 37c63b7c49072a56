package org.opentrellis.core.journey;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.TimeUnit;

/** How long a person waits. */
public sealed interface WaitRule
    permits WaitRule.For,
        WaitRule.Until,
        WaitRule.UntilDate,
        WaitRule.UntilDay,
        WaitRule.AroundDate,
        WaitRule.UntilNthWeekday,
        WaitRule.UntilHappens {

  /**
   * Waits an amount from the step before, and then perhaps on to a time of day: the amount is added
   * first.
   */
  record For(Amount amount, Optional<TimeOfDay> thenUntil) implements WaitRule {}

  /** Waits for the next time of day; goes on at once if it is now. */
  record Until(TimeOfDay moment) implements WaitRule {}

  /**
   * @param at in the person's zone
   */
  record UntilDate(LocalDate date, LocalTime at, IfPast ifPast) implements WaitRule {
    public UntilDate {
      Text.toTheMinute(at);
    }
  }

  /**
   * Waits for a day of the journey.
   *
   * @param day days after the day of entry, which is day 0; at most 3660
   * @param at the local time, or empty for the time of entry
   */
  record UntilDay(int day, Optional<LocalTime> at, IfPast ifPast) implements WaitRule {
    public UntilDay {
      Text.inRange("the day of a journey", day, 0, 3660);
      at.ifPresent(Text::toTheMinute);
    }
  }

  /**
   * Waits for a day before, on or after the next date in a field. An empty field counts as past.
   *
   * @param days after the date; before it if negative; -366 to 366
   * @param everyYear whether the date returns each year
   * @param onFirstOfMarch whether 29 February falls on 1 March in other years, not 28 February
   */
  record AroundDate(
      FieldName field,
      int days,
      LocalTime at,
      boolean everyYear,
      boolean onFirstOfMarch,
      IfPast ifPast)
      implements WaitRule {
    public AroundDate {
      Text.inRange("the days around a date", days, -366, 366);
      Text.toTheMinute(at);
    }
  }

  /**
   * Waits for a weekday of the month, such as the second Tuesday.
   *
   * @param nth which of the month, 1 to 4, or {@link #LAST}
   * @param at the local time
   */
  record UntilNthWeekday(int nth, DayOfWeek weekday, LocalTime at) implements WaitRule {
    public static final int LAST = -1;

    public UntilNthWeekday {
      if (nth != LAST) {
        Text.inRange("which weekday of the month", nth, 1, 4);
      }
      Text.toTheMinute(at);
    }
  }

  /** Waits until a condition holds, at most so long; goes on in either case. */
  record UntilHappens(Condition condition, Amount atMost) implements WaitRule {}

  /** The questions that it asks. */
  default List<Condition> conditions() {
    return switch (this) {
      case UntilHappens until -> List.of(until.condition());
      case For waits -> List.of();
      case Until until -> List.of();
      case UntilDate until -> List.of();
      case UntilDay until -> List.of();
      case AroundDate around -> List.of();
      case UntilNthWeekday until -> List.of();
    };
  }

  static WaitRule of(double count, TimeUnit unit) {
    return new For(Amount.of(count, unit), Optional.empty());
  }
}
