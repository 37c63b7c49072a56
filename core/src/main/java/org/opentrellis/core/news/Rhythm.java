package org.opentrellis.core.news;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.Style;

/** When one issue after another goes out, by the account's clock. */
public sealed interface Rhythm permits Rhythm.Daily, Rhythm.Weekly, Rhythm.Monthly {

  /** Every day. */
  record Daily(LocalTime at) implements Rhythm {
    public Daily {
      toTheMinute(at);
    }
  }

  /** Every week on one day. */
  record Weekly(DayOfWeek day, LocalTime at) implements Rhythm {
    public Weekly {
      toTheMinute(at);
    }
  }

  /**
   * Every month on one day.
   *
   * @param day 1 to 31; a shorter month's last day stands for those that it has not
   */
  record Monthly(int day, LocalTime at) implements Rhythm {
    public Monthly {
      toTheMinute(at);
      if (day < 1 || day > 31) {
        throw new Refused("a month has the days 1 to 31, not " + day);
      }
    }

    private LocalDate in(LocalDate month) {
      return month.withDayOfMonth(Math.min(day, month.lengthOfMonth()));
    }
  }

  /** The time of day. */
  LocalTime at();

  /** The first moment after another. */
  default LocalDateTime after(LocalDateTime moment) {
    LocalDateTime on = onOrAfter(moment.toLocalDate()).atTime(at());
    return on.isAfter(moment) ? on : onOrAfter(on.toLocalDate().plusDays(1)).atTime(at());
  }

  /** The last moment before another. */
  default LocalDateTime before(LocalDateTime moment) {
    LocalDateTime before = after(moment.minusMonths(2));
    for (LocalDateTime next = after(before); next.isBefore(moment); next = after(next)) {
      before = next;
    }
    return before;
  }

  private LocalDate onOrAfter(LocalDate day) {
    return switch (this) {
      case Daily daily -> day;
      case Weekly weekly -> day.with(TemporalAdjusters.nextOrSame(weekly.day()));
      case Monthly monthly -> {
        LocalDate so = monthly.in(day);
        yield so.isBefore(day) ? monthly.in(day.plusMonths(1)) : so;
      }
    };
  }

  /** As it is said within a sentence, such as "every Thursday at 17:00". */
  default String words() {
    return switch (this) {
      case Daily daily -> "every day at " + at();
      case Weekly weekly ->
          "every %s at %s"
              .formatted(weekly.day().getDisplayName(TextStyle.FULL, Locale.ENGLISH), at());
      case Monthly monthly ->
          "on the %s of every month%s at %s"
              .formatted(
                  Style.ordinal(monthly.day()),
                  monthly.day() > 28 ? " (or its last day)" : "",
                  at());
    };
  }

  private static void toTheMinute(LocalTime at) {
    if (at.getSecond() != 0 || at.getNano() != 0) {
      throw new Refused("news goes out to the minute, not at " + at);
    }
  }
}
