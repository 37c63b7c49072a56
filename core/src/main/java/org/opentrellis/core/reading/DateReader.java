package org.opentrellis.core.reading;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.MonthDay;
import java.time.Year;
import java.time.format.TextStyle;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.WaitRule;

/** Reads dates, weekdays and days around a date. */
final class DateReader {
  private static final Pattern ISO = Pattern.compile("(\\d{4,10})-(\\d{2})-(\\d{2})");
  private static final Pattern DOTTED = Pattern.compile("(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4})");
  private static final Pattern SLASHED = Pattern.compile("(\\d{1,2})/(\\d{1,2})/(\\d{4})");
  private static final Pattern DAY = Pattern.compile("(\\d{1,2})(st|nd|rd|th)?(?![:.]\\d)");
  private static final Pattern YEAR = Pattern.compile("\\d{4}");

  private static final List<List<String>> NTH =
      List.of(
          List.of("1st", "first"),
          List.of("2nd", "second"),
          List.of("3rd", "third"),
          List.of("4th", "fourth"));

  private static final String SEPARATOR = "(, ?)?(and|or|nor)|,";

  private final Cursor cursor;
  private final NumberReader numbers;
  private final LocalDate today;

  /**
   * @param today that a date without a year comes after
   */
  DateReader(Cursor cursor, LocalDate today) {
    this.cursor = cursor;
    this.numbers = new NumberReader(cursor);
    this.today = today;
  }

  /** "2027-03-01", "2 May 2027", "May 2"; null if none stands here. */
  @Nullable LocalDate date() {
    int from = cursor.at();
    Matcher iso = cursor.matches(ISO);
    if (iso != null) {
      return of(from, () -> LocalDate.parse(iso.group()));
    }
    Matcher dotted = cursor.matches(DOTTED);
    if (dotted != null) {
      return of(from, () -> dayMonthYear(dotted, 1, 2));
    }
    Matcher slashed = cursor.matches(SLASHED);
    if (slashed != null) {
      return whichWayRound(from, slashed);
    }
    return inWords(from);
  }

  private static LocalDate dayMonthYear(Matcher figures, int day, int month) {
    return LocalDate.of(number(figures, 3), number(figures, month), number(figures, day));
  }

  private static int number(Matcher figures, int group) {
    return Integer.parseInt(figures.group(group));
  }

  /** Some write the day first and some the month: if both could be meant, it is asked. */
  private LocalDate whichWayRound(int from, Matcher figures) {
    boolean dayFirst = number(figures, 2) <= 12;
    boolean monthFirst = number(figures, 1) <= 12;
    boolean same = number(figures, 1) == number(figures, 2);
    if (dayFirst && monthFirst && !same) {
      int to = cursor.end();
      LocalDate one = of(from, () -> dayMonthYear(figures, 1, 2));
      LocalDate other = of(from, () -> dayMonthYear(figures, 2, 1));
      throw new NotUnderstood(
          "Is that %s or %s?".formatted(said(one), said(other)),
          from,
          to,
          true,
          List.of(
              new Suggestion(said(one), cursor.instead(from, to, one.toString())),
              new Suggestion(said(other), cursor.instead(from, to, other.toString()))));
    }
    return of(from, () -> dayFirst ? dayMonthYear(figures, 1, 2) : dayMonthYear(figures, 2, 1));
  }

  private static String said(LocalDate date) {
    String month = date.getMonth().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    return date.getDayOfMonth() + " " + month + " " + date.getYear();
  }

  private @Nullable LocalDate inWords(int from) {
    cursor.says("the");
    Month month = month();
    Matcher day = cursor.matches(DAY);
    if (day == null) {
      cursor.back(from);
      return null;
    }
    cursor.says("of");
    Month named = month == null ? month() : month;
    if (named == null) {
      cursor.back(from);
      return null;
    }
    int before = cursor.at();
    cursor.silently(",");
    Matcher year = cursor.matches(YEAR);
    if (year == null) {
      cursor.back(before);
      return of(from, () -> next(MonthDay.of(named, number(day, 1))));
    }
    return of(from, () -> LocalDate.of(Integer.parseInt(year.group()), named, number(day, 1)));
  }

  private LocalDate next(MonthDay day) {
    int year = today.getYear();
    while (!day.isValidYear(year) || day.atYear(year).isBefore(today)) {
      year++;
      if (year > today.getYear() + 8) {
        throw new DateTimeException("no such day");
      }
    }
    return day.atYear(Year.of(year).getValue());
  }

  private @Nullable Month month() {
    for (Month month : Month.values()) {
      String name = month.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
      if (cursor.says(name) || cursor.says(name.substring(0, 3))) {
        return month;
      }
    }
    return cursor.says("Sept") ? Month.SEPTEMBER : null;
  }

  private LocalDate of(int from, java.util.function.Supplier<LocalDate> make) {
    try {
      return make.get();
    } catch (DateTimeException refused) {
      throw new NotUnderstood("There is no such time or day.", from, cursor.end());
    }
  }

  /** "Mon", "Tue to Sat", "weekdays", "not on Sunday or Monday"; empty if none stands here. */
  Set<DayOfWeek> weekdays() {
    int from = cursor.at();
    if (cursor.says("(, )?(but |and )?(not|never|except|no mail|other than)( on)?")) {
      Set<DayOfWeek> not = named();
      if (!not.isEmpty()) {
        return rest(from, not);
      }
    }
    cursor.back(from);
    cursor.says("only");
    Set<DayOfWeek> days = named();
    if (days.isEmpty()) {
      cursor.back(from);
    }
    return days;
  }

  private Set<DayOfWeek> rest(int from, Set<DayOfWeek> not) {
    Set<DayOfWeek> rest = EnumSet.complementOf(EnumSet.copyOf(not));
    if (rest.isEmpty()) {
      throw new NotUnderstood("No day of the week is left.", from, cursor.end());
    }
    return rest;
  }

  private Set<DayOfWeek> named() {
    Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
    int from = cursor.at();
    cursor.silently("on");
    boolean more = true;
    while (more) {
      Set<DayOfWeek> some = some();
      if (some.isEmpty()) {
        cursor.back(from);
        return days;
      }
      days.addAll(some);
      from = cursor.end();
      more = cursor.says(SEPARATOR);
      cursor.says("on");
    }
    cursor.back(from);
    return days;
  }

  private Set<DayOfWeek> some() {
    if (cursor.says("(week|working |work)days?")) {
      return EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY);
    }
    if (cursor.says("(the )?weekends?")) {
      return EnumSet.of(DayOfWeek.SATURDAY, DayOfWeek.SUNDAY);
    }
    DayOfWeek day = weekday();
    if (day == null) {
      return Set.of();
    }
    Set<DayOfWeek> days = EnumSet.of(day);
    int here = cursor.end();
    if (cursor.says("to|-|\u2013|until|through")) {
      DayOfWeek last = weekday();
      if (last == null) {
        cursor.back(here);
        return days;
      }
      for (DayOfWeek d = day; d != last; d = d.plus(1)) {
        days.add(d);
      }
      days.add(last);
    }
    return days;
  }

  @Nullable DayOfWeek weekday() {
    for (DayOfWeek day : DayOfWeek.values()) {
      String name = day.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
      if (cursor.says(name.substring(0, 3) + "|" + name + "|" + name + "s")) {
        return day;
      }
    }
    return null;
  }

  DayOfWeek requireWeekday() {
    cursor.could("Tue");
    DayOfWeek day = weekday();
    if (day == null) {
      throw cursor.lost();
    }
    return day;
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

  /** "3 days before", "on the day of", "a week after": days after; empty if none stands here. */
  Optional<Integer> around() {
    int from = cursor.at();
    if (cursor.any("on", "(on )?the (day|date) of") || cursor.says("on (the )?(day|date) of")) {
      cursor.says("the (day|date) of");
      return Optional.of(0);
    }
    cursor.could("3 days before");
    Integer days = days();
    if (days != null) {
      if (cursor.word("before") || cursor.says("ahead of|prior to")) {
        return Optional.of(-days);
      }
      if (cursor.word("after")) {
        return Optional.of(days);
      }
    }
    cursor.back(from);
    return Optional.empty();
  }

  /** "3 days", "the day", "two weeks", in days; null if none stands here. */
  private @Nullable Integer days() {
    if (cursor.says("(the|a) day")) {
      return 1;
    }
    if (cursor.says("(the|a) week")) {
      return 7;
    }
    Integer number = numbers.whole();
    if (number == null) {
      return null;
    }
    if (cursor.word("days") || cursor.says("day")) {
      return number;
    }
    return cursor.says("weeks?") ? number * 7 : null;
  }
}
