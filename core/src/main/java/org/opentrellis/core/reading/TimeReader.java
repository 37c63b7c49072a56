package org.opentrellis.core.reading;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.sentence.Style;

/** Reads amounts of time, times of day and send windows. */
final class TimeReader {
  /** When nothing is said. */
  static final LocalTime USUAL = LocalTime.of(9, 0);

  private static final String AM_PM = "\\s*(am|pm|a\\.m\\.|p\\.m\\.)";
  private static final Pattern TIME =
      Pattern.compile(
          "(\\d{1,2})[:.](\\d{2})(?![.\\d])(?:" + AM_PM + ")?", Pattern.CASE_INSENSITIVE);
  private static final Pattern HOUR =
      Pattern.compile("(\\d{1,2})()" + AM_PM, Pattern.CASE_INSENSITIVE);
  private static final Pattern OCLOCK =
      Pattern.compile(
          "(\\d{1,2})()()\\s*(?:o['\u2019]?clock|h(?![a-z]))", Pattern.CASE_INSENSITIVE);
  private static final Pattern BARE_HOUR = Pattern.compile("(2[0-4]|[01]?\\d)()()(?![\\d%:.]\\d)");
  private static final Pattern UNIT = Pattern.compile("[a-zA-Z]+");

  /** Parts of a day, and the hours that people mean by them. */
  private static final List<PartOfDay> PARTS =
      List.of(
          new PartOfDay("((in )?the |that )?(early )?mornings?", 8, 9, 10),
          new PartOfDay("(in the |at )?lunch( ?time)?|around noon", 12, 13),
          new PartOfDay("((in )?the )?afternoons?", 14, 15, 16),
          new PartOfDay("((in )?the |the same )?evenings?|tonight", 18, 19, 20),
          new PartOfDay("(at |by )night", 21, 22));

  private record PartOfDay(String said, int... hours) {}

  private final Cursor cursor;
  private final NumberReader numbers;
  private final DateReader dates;

  TimeReader(Cursor cursor, DateReader dates) {
    this.cursor = cursor;
    this.numbers = new NumberReader(cursor);
    this.dates = dates;
  }

  /** "2 days", "half an hour", "a day"; null if none stands here. */
  @Nullable Amount amount() {
    int from = cursor.at();
    if (cursor.says("(a )?fortnight")) {
      return Amount.of(2, TimeUnit.WEEKS);
    }
    Double count = count();
    TimeUnit unit = count == null ? null : unit();
    if (unit == null) {
      cursor.back(from);
      return null;
    }
    return cursor.meaning(from, () -> Amount.of(count, unit));
  }

  private @Nullable Double count() {
    if (cursor.says("half an?")) {
      return 0.5;
    }
    return cursor.says("an?|another") ? Double.valueOf(1) : numbers.number();
  }

  Amount requireAmount() {
    cursor.could("1 day");
    cursor.could("2 days");
    cursor.could("1 hour");
    if (cursor.says("(a )?fortnight")) {
      return Amount.of(2, TimeUnit.WEEKS);
    }
    int from = cursor.at();
    Double count = count();
    if (count == null) {
      throw cursor.lost();
    }
    TimeUnit unit = unit();
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
    if (cursor.says("(working|business|work) ?days?")) {
      return TimeUnit.WORKING_DAYS;
    }
    if (cursor.says("full days?")) {
      return TimeUnit.DAYS;
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
    switch (said) {
      case "min", "mins" -> {
        return TimeUnit.MINUTES;
      }
      case "hr", "hrs" -> {
        return TimeUnit.HOURS;
      }
      default -> {
        cursor.back(from);
        return null;
      }
    }
  }

  /** "09:00", "9 am", "noon"; null if none stands here. */
  @Nullable LocalTime time() {
    int from = cursor.at();
    requireHour(from);
    if (cursor.says("(at )?(noon|midday)")) {
      return LocalTime.NOON;
    }
    if (cursor.says("(at )?midnight")) {
      return LocalTime.MIDNIGHT;
    }
    boolean at = cursor.says("at( about| around)?");
    for (Pattern form : List.of(TIME, HOUR, OCLOCK)) {
      Matcher time = cursor.matches(form);
      if (time != null) {
        return of(from, time);
      }
    }
    requireHour(from);
    Matcher bare = at ? bareHour() : null;
    if (bare != null) {
      return of(from, bare);
    }
    cursor.back(from);
    return null;
  }

  /** An hour in figures alone, if no unit follows: "at 9", "until 9". */
  private @Nullable Matcher bareHour() {
    int here = cursor.end();
    Matcher bare = cursor.matches(BARE_HOUR);
    if (bare == null
        || cursor.sees("[a-z]|minutes?|mins?|hours?|days?|weeks?|months?|years?|d|w|h")) {
      cursor.back(here);
      return null;
    }
    return bare;
  }

  private LocalTime of(int from, Matcher time) {
    int hour = Integer.parseInt(time.group(1));
    String minutes = time.group(2);
    int minute = minutes.isEmpty() ? 0 : Integer.parseInt(minutes);
    String half = time.group(3) == null ? "" : time.group(3).toLowerCase(Locale.ROOT);
    if (half.isEmpty()) {
      return hour == 24 && minute == 0
          ? LocalTime.MIDNIGHT
          : calendar(from, () -> LocalTime.of(hour, minute));
    }
    if (hour < 1 || hour > 12) {
      throw new NotUnderstood("There is no such time or day.", from, cursor.end());
    }
    int noon = half.startsWith("p") ? 12 : 0;
    return calendar(from, () -> LocalTime.of(hour % 12 + noon, minute));
  }

  /** "In the morning" is no time yet: which hour is meant is asked. */
  private void requireHour(int from) {
    for (PartOfDay part : PARTS) {
      if (cursor.says(part.said())) {
        int to = cursor.end();
        boolean hourFollows = time() != null;
        if (hourFollows) {
          cursor.back(to);
          return;
        }
        throw new NotUnderstood(
            "Which hour is meant by %s?".formatted(Style.quoted(cursor.said(from, to))),
            from,
            to,
            true,
            hours(part, from, to));
      }
    }
  }

  private List<Suggestion> hours(PartOfDay part, int from, int to) {
    return java.util.Arrays.stream(part.hours())
        .mapToObj(hour -> "at %02d:00".formatted(hour))
        .map(at -> new Suggestion(at, cursor.instead(from, to, at)))
        .toList();
  }

  LocalTime requireTime() {
    cursor.could("09:00");
    LocalTime time = time();
    if (time == null) {
      Matcher bare = bareHour();
      if (bare == null) {
        throw cursor.lost();
      }
      return of(cursor.at(), bare);
    }
    return time;
  }

  /** A time of day if one stands here, else the usual one. */
  LocalTime timeOrUsual() {
    int from = cursor.at();
    cursor.silently(",");
    cursor.could("at 09:00");
    LocalTime time = time();
    if (time == null) {
      cursor.back(from);
      return USUAL;
    }
    return time;
  }

  private <T> T calendar(int from, Supplier<T> make) {
    try {
      return make.get();
    } catch (DateTimeException refused) {
      throw new NotUnderstood("There is no such time or day.", from, cursor.end());
    }
  }

  /**
   * "09:00", "09:00 on Tue to Sat", "on Mondays 09:00", "on weekdays"; null if none stands here.
   */
  @Nullable TimeOfDay timeOfDay() {
    int from = cursor.at();
    cursor.silently(",");
    Set<DayOfWeek> before = dates.weekdays();
    cursor.silently(",");
    LocalTime time = before.isEmpty() ? time() : timeOrUsual();
    if (time == null) {
      cursor.back(from);
      return null;
    }
    Set<DayOfWeek> days = before.isEmpty() ? daysBehind() : before;
    cursor.says("(their|local) time");
    return new TimeOfDay(time, days);
  }

  /** The same, where an hour may stand alone: "until 9". */
  @Nullable TimeOfDay momentAfterUntil() {
    TimeOfDay moment = timeOfDay();
    if (moment != null) {
      return moment;
    }
    int from = cursor.at();
    Matcher bare = bareHour();
    return bare == null ? null : new TimeOfDay(of(from, bare), daysBehind());
  }

  private Set<DayOfWeek> daysBehind() {
    int from = cursor.at();
    if (!cursor.word("on")) {
      cursor.silently(",");
    }
    Set<DayOfWeek> days = dates.weekdays();
    if (days.isEmpty()) {
      cursor.back(from);
    }
    return days;
  }

  /** "Mon to Fri 08:00 to 18:00", "on weekdays", "between 9 and 17". */
  SendWindow window() {
    int from = cursor.at();
    cursor.could("Mon to Fri 08:00 to 18:00");
    Set<DayOfWeek> days = dates.weekdays();
    boolean between = cursor.says("(, )?between|(, )?from");
    if (!days.isEmpty() && !between && !hourStands()) {
      return new SendWindow(days, LocalTime.MIDNIGHT, LocalTime.MIDNIGHT);
    }
    LocalTime opens = requireTime();
    if (!cursor.says("to|and|-|\u2013|until|till")) {
      throw cursor.lost();
    }
    LocalTime closes = requireTime();
    Set<DayOfWeek> behind = days.isEmpty() ? daysBehind() : days;
    return cursor.meaning(from, () -> new SendWindow(behind, opens, closes));
  }

  private boolean hourStands() {
    int here = cursor.end();
    boolean stands = time() != null || bareHour() != null;
    cursor.back(here);
    return stands;
  }

  int requireDays() {
    int days = numbers.requireWhole("30 days");
    if (cursor.says("weeks?")) {
      return days * 7;
    }
    if (!cursor.word("days") && !cursor.says("day")) {
      throw cursor.lost();
    }
    return days;
  }
}
