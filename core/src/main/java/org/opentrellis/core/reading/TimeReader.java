package org.opentrellis.core.reading;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.WaitRule;

/** Reads amounts of time, times of day, weekdays and dates. */
final class TimeReader {
  private static final Pattern NUMBER = Pattern.compile("-?\\d+(\\.\\d+)?([eE][-+]?\\d+)?");
  private static final Pattern WHOLE = Pattern.compile("\\d{1,9}(?![.:\\d-])");
  private static final Pattern TIME = Pattern.compile("(\\d{1,2})[:.](\\d{2})");
  private static final Pattern DATE = Pattern.compile("(\\d{4,10})-(\\d{2})-(\\d{2})");
  private static final Pattern UNIT = Pattern.compile("[a-zA-Z]+");

  private static final List<List<String>> NTH =
      List.of(
          List.of("1st", "first"),
          List.of("2nd", "second"),
          List.of("3rd", "third"),
          List.of("4th", "fourth"));

  private final Cursor cursor;

  TimeReader(Cursor cursor) {
    this.cursor = cursor;
  }

  /** A number, or null if none stands here. */
  @Nullable Double number() {
    Matcher number = cursor.matches(NUMBER);
    return number == null ? null : Double.valueOf(number.group());
  }

  /** A whole number, or null if none stands here. */
  @Nullable Integer whole() {
    Matcher number = cursor.matches(WHOLE);
    return number == null ? null : Integer.valueOf(number.group());
  }

  int requireWhole(String example) {
    cursor.could(example);
    Integer number = whole();
    if (number == null) {
      throw cursor.lost();
    }
    return number;
  }

  /** "2 days", "half an hour" as "0.5 hours", "a day"; null if none stands here. */
  @Nullable Amount amount() {
    int from = cursor.at();
    Double count = count();
    TimeUnit unit = count == null ? null : unit();
    if (unit == null) {
      cursor.back(from);
      return null;
    }
    return cursor.meaning(from, () -> Amount.of(count, unit));
  }

  private @Nullable Double count() {
    return cursor.silently("a") || cursor.silently("an") ? Double.valueOf(1) : number();
  }

  Amount requireAmount() {
    cursor.could("1 day");
    cursor.could("2 days");
    cursor.could("1 hour");
    int from = cursor.at();
    Double count = count();
    TimeUnit unit = count == null ? null : unit();
    if (unit == null) {
      throw cursor.lost();
    }
    return cursor.meaning(from, () -> Amount.of(count, unit));
  }

  private @Nullable TimeUnit unit() {
    int from = cursor.at();
    for (TimeUnit unit : TimeUnit.values()) {
      cursor.could(unit.word() + "s");
    }
    if (cursor.silently("working days") || cursor.silently("working day")) {
      return TimeUnit.WORKING_DAYS;
    }
    Matcher word = cursor.matches(UNIT);
    if (word == null) {
      return null;
    }
    String said = word.group().toLowerCase(Locale.ROOT);
    for (TimeUnit unit : TimeUnit.values()) {
      if (said.equals(unit.word())
          || said.equals(unit.word() + "s")
          || said.equals(unit.word().substring(0, 1)) && !said.equals("m")) {
        return unit;
      }
    }
    if (said.equals("min") || said.equals("mins")) {
      return TimeUnit.MINUTES;
    }
    cursor.back(from);
    return null;
  }

  /** "09:00", or null if none stands here. */
  @Nullable LocalTime time() {
    int from = cursor.at();
    Matcher time = cursor.matches(TIME);
    if (time == null) {
      return null;
    }
    int hour = Integer.parseInt(time.group(1));
    int minute = Integer.parseInt(time.group(2));
    if (hour == 24 && minute == 0) {
      return LocalTime.MIDNIGHT;
    }
    return calendar(from, () -> LocalTime.of(hour, minute));
  }

  LocalTime requireTime() {
    cursor.could("09:00");
    LocalTime time = time();
    if (time == null) {
      throw cursor.lost();
    }
    return time;
  }

  /** "2027-03-01", or null if none stands here. */
  @Nullable LocalDate date() {
    int from = cursor.at();
    Matcher date = cursor.matches(DATE);
    return date == null ? null : calendar(from, () -> LocalDate.parse(date.group()));
  }

  private <T> T calendar(int from, Supplier<T> make) {
    try {
      return make.get();
    } catch (DateTimeException refused) {
      throw new NotUnderstood("There is no such time or day.", from, cursor.end());
    }
  }

  /** "09:00", "09:00 on Tue to Sat", "on Mondays 09:00"; null if none stands here. */
  @Nullable TimeOfDay timeOfDay() {
    int from = cursor.at();
    Set<DayOfWeek> before = weekdays();
    cursor.silently("at");
    LocalTime time = before.isEmpty() ? time() : requireTime();
    if (time == null) {
      cursor.back(from);
      return null;
    }
    Set<DayOfWeek> days = before.isEmpty() ? daysBehind() : before;
    cursor.silently("their time");
    return new TimeOfDay(time, days);
  }

  private Set<DayOfWeek> daysBehind() {
    int from = cursor.at();
    if (!cursor.word("on")) {
      cursor.silently(",");
    }
    Set<DayOfWeek> days = weekdays();
    if (days.isEmpty()) {
      cursor.back(from);
    }
    return days;
  }

  /** "Mon", "Tue to Sat", "Mon, Wed and Fri"; empty if none stands here. */
  Set<DayOfWeek> weekdays() {
    Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
    int from = cursor.at();
    cursor.silently("on");
    DayOfWeek day = weekday();
    if (day == null) {
      cursor.back(from);
      return days;
    }
    days.add(day);
    while (day != null) {
      int here = cursor.at();
      if (cursor.silently("to") || cursor.silently("-") || cursor.silently("\u2013")) {
        DayOfWeek last = weekday();
        for (DayOfWeek d = day; last != null && d != last; d = d.plus(1)) {
          days.add(d);
        }
        day = last;
      } else {
        boolean more = cursor.silently(",") | cursor.silently("and");
        day = more ? weekday() : null;
      }
      if (day == null) {
        cursor.back(here);
      } else {
        days.add(day);
      }
    }
    return days;
  }

  /** "Mon to Fri 08:00 to 18:00". */
  SendWindow window() {
    int from = cursor.at();
    cursor.could("Mon to Fri 08:00 to 18:00");
    Set<DayOfWeek> days = weekdays();
    LocalTime opens = requireTime();
    cursor.require("to");
    LocalTime closes = requireTime();
    return cursor.meaning(from, () -> new SendWindow(days, opens, closes));
  }

  /** "1st", "second", "last": which weekday of a month. */
  int requireNth() {
    for (int nth = 1; nth <= NTH.size(); nth++) {
      List<String> ways = NTH.get(nth - 1);
      if (cursor.any(ways.get(0), ways.get(1))) {
        return nth;
      }
    }
    cursor.require("last");
    return WaitRule.UntilNthWeekday.LAST;
  }

  DayOfWeek requireWeekday() {
    cursor.could("Tue");
    DayOfWeek day = weekday();
    if (day == null) {
      throw cursor.lost();
    }
    return day;
  }

  private @Nullable DayOfWeek weekday() {
    for (DayOfWeek day : DayOfWeek.values()) {
      String name = day.name().charAt(0) + day.name().substring(1).toLowerCase(Locale.ROOT);
      if (cursor.silently(name.substring(0, 3))
          || cursor.silently(name)
          || cursor.silently(name + "s")) {
        return day;
      }
    }
    return null;
  }

  /** "3 days before", "on", "1 day after": days after; empty if none stands here. */
  Optional<Integer> around() {
    int from = cursor.at();
    if (cursor.word("on")) {
      return Optional.of(0);
    }
    cursor.could("3 days before");
    Integer days = whole();
    if (days != null && (cursor.word("days") || cursor.silently("day"))) {
      if (cursor.word("before")) {
        return Optional.of(-days);
      }
      if (cursor.word("after")) {
        return Optional.of(days);
      }
    }
    cursor.back(from);
    return Optional.empty();
  }

  int requireDays() {
    int days = requireWhole("30 days");
    if (!cursor.word("days") && !cursor.silently("day")) {
      throw cursor.lost();
    }
    return days;
  }
}
