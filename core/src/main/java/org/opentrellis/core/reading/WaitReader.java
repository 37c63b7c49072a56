package org.opentrellis.core.reading;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.IfPast;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.WaitRule;

/** Reads how long people wait: "2 days, then until 09:00", "until they open it, at most 2 days". */
final class WaitReader {
  private static final Pattern NTH_DAY = Pattern.compile("(\\d{1,4})(?:st|nd|rd|th)\\s+day");

  private static final String DAYS =
      "(weekdays|working days|weekends|mon|tue|wed|thu|fri|sat|sun|(mon|tues|wednes|thurs|fri|satur|sun)days?)";

  private final Cursor cursor;
  private final Scope scope;
  private final TimeReader times;
  private final DateReader dates;
  private final NumberReader numbers;

  WaitReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
    this.times = scope.times(cursor);
    this.dates = scope.dates(cursor);
    this.numbers = new NumberReader(cursor);
  }

  /** What follows "wait". */
  WaitRule rule() {
    if (cursor.any("until", "till|for(?= them to)")) {
      return until();
    }
    cursor.says("for|another");
    if (cursor.sees("them to")) {
      return until();
    }
    int from = cursor.end();
    WaitRule next = nextDay();
    if (next != null) {
      return next;
    }
    cursor.back(from);
    return thenUntil(times.requireAmount());
  }

  private WaitRule thenUntil(Amount amount) {
    cursor.says("more|longer");
    int here = cursor.end();
    if (!cursor.also("then until", "(and )?(then )?(until|till)")) {
      TimeOfDay moment = times.timeOfDay();
      if (moment == null) {
        cursor.back(here);
      }
      return new WaitRule.For(amount, Optional.ofNullable(moment));
    }
    cursor.could("09:00");
    cursor.could("09:00 on Tue to Sat");
    TimeOfDay moment = times.momentAfterUntil();
    if (moment == null) {
      throw cursor.lost();
    }
    return new WaitRule.For(amount, Optional.of(moment));
  }

  /** "The next day", "the next day at 9", "the next morning". */
  private @Nullable WaitRule nextDay() {
    if (cursor.says(
        "(the |until the )?(next|following) (?=morning|evening|afternoon)|tomorrow (?=morning|evening)")) {
      return thenUntil(Amount.of(1, TimeUnit.DAYS));
    }
    if (cursor.says("(the |until the )?(next|following) day|a day later|tomorrow")) {
      return thenUntil(Amount.of(1, TimeUnit.DAYS));
    }
    if (cursor.says("(the )?(next|following) week")) {
      return thenUntil(Amount.of(1, TimeUnit.WEEKS));
    }
    return null;
  }

  /** When a step comes that is said before it: "after 2 days", "on day 3"; null if nothing is. */
  @Nullable WaitRule before() {
    int here = cursor.end();
    if (cursor.says("after") || cursor.says("in(?! the| any| both| either)")) {
      Amount amount = times.amount();
      if (amount != null) {
        return thenUntil(amount);
      }
      cursor.back(here);
    }
    Amount amount = times.amount();
    if (amount != null && cursor.says("later|after that|afterwards|on")) {
      return thenUntil(amount);
    }
    cursor.back(here);
    WaitRule next = nextDay();
    if (next != null) {
      return next;
    }
    cursor.back(here);
    if (cursor.sees(
        "(at|around) (about |noon|midnight|night|lunch|\\d)|in the (early )?(morning|afternoon|evening)|tonight|at night|on (the )?(next )?"
            + DAYS)) {
      cursor.says("on the next|on next|on the(?= mon| tue| wed| thu| fri| sat| sun)");
      TimeOfDay moment = times.timeOfDay();
      if (moment != null) {
        return new WaitRule.Until(moment);
      }
    }
    cursor.back(here);
    WaitRule day = dayBefore();
    if (day != null) {
      return day;
    }
    cursor.back(here);
    return aroundBefore();
  }

  /** "On day 3 at 9", "day 3:", "on the 10th day". */
  private @Nullable WaitRule dayBefore() {
    boolean on = cursor.says("on( the)?|the");
    var nth = cursor.matches(NTH_DAY);
    if (nth != null) {
      return onDay(cursor.at(), Integer.parseInt(nth.group(1)));
    }
    if (cursor.says("day")) {
      int from = cursor.at();
      Integer day = numbers.whole();
      if (day != null) {
        return onDay(from, day);
      }
    }
    if (!on) {
      return null;
    }
    int from = cursor.at();
    LocalDate date = dates.date();
    if (date == null) {
      return null;
    }
    LocalTime at = times.timeOrUsual();
    return cursor.meaning(from, () -> new WaitRule.UntilDate(date, at, ifPast()));
  }

  /** "3 days before renewal". */
  private @Nullable WaitRule aroundBefore() {
    int here = cursor.end();
    Optional<Integer> days = scope.isOnField(cursor) ? dates.around() : Optional.empty();
    if (days.isEmpty()) {
      return null;
    }
    if (cursor.atSentenceEnd()) {
      cursor.back(here);
      return null;
    }
    return around(days.get());
  }

  private WaitRule until() {
    if (cursor.says("them to")) {
      return untilHappens();
    }
    if (cursor.any("they", "he|she|somebody|someone")) {
      return untilHappens();
    }
    if (cursor.any("day", "the (?=day \\d)")) {
      cursor.says("day");
      int from = cursor.at();
      return onDay(from, numbers.requireWhole("3"));
    }
    int start = cursor.end();
    cursor.says("the");
    var nthDay = cursor.matches(NTH_DAY);
    if (nthDay != null) {
      return onDay(start, Integer.parseInt(nthDay.group(1)));
    }
    cursor.back(start);
    WaitRule next = nextDay();
    if (next != null) {
      return next;
    }
    cursor.back(start);
    cursor.could("the 2nd Tue of the month");
    int from = cursor.at();
    LocalDate date = dates.date();
    if (date != null) {
      LocalTime at = times.timeOrUsual();
      return new WaitRule.UntilDate(date, at, ifPast());
    }
    if (cursor.sees("the (1st|first|2nd|second|3rd|third|4th|fourth|last)")) {
      cursor.says("the");
      return untilNthWeekday();
    }
    cursor.could("09:00");
    cursor.could("09:00 on Tue to Sat");
    cursor.says("it( i|')s");
    cursor.says("(the )?next(?= (mon|tue|wed|thu|fri|sat|sun))");
    TimeOfDay moment = times.momentAfterUntil();
    if (moment != null) {
      return new WaitRule.Until(moment);
    }
    Optional<Integer> days = dates.around();
    return days.isPresent() ? around(days.get()) : untilHappens();
  }

  private WaitRule around(int days) {
    int from = cursor.at();
    cursor.says("their|his|her");
    FieldName field =
        scope.named(
            cursor,
            "field",
            FieldName.class,
            FieldName::new,
            "at",
            "every",
            "or",
            "each",
            "send",
            "\\d(\\d)?",
            "date");
    cursor.says("date");
    LocalTime at = times.timeOrUsual();
    boolean yearly = cursor.also("every year", "(each year|yearly)");
    boolean march = yearly && cursor.also("29 February on 1 March");
    IfPast past = ifPast();
    return cursor.meaning(
        from, () -> new WaitRule.AroundDate(field, days, at, yearly, march, past));
  }

  private WaitRule untilHappens() {
    int from = cursor.at();
    Condition condition = new ConditionReader(cursor, scope).read();
    int to = cursor.end();
    boolean limited =
        cursor.also(
            "at most",
            "(but |and )?(for )?(at most|no longer than|not longer than|no more than|up to|max|maximum)",
            "(or )?(for|after|within|until)(?= \\d| an?| one| two| three)",
            "or(?= \\d| an?)");
    if (!limited) {
      if (!cursor.atPause() && !cursor.sees(Words.STEP)) {
        throw cursor.lost();
      }
      throw new NotUnderstood(
          "How long do they wait at most, if it does not happen?",
          from,
          to,
          true,
          List.of(
              new Suggestion("at most 2 days", cursor.instead(to, to, ", at most 2 days")),
              new Suggestion("at most 1 week", cursor.instead(to, to, ", at most 1 week"))));
    }
    return new WaitRule.UntilHappens(condition, times.requireAmount());
  }

  private WaitRule untilNthWeekday() {
    int from = cursor.at();
    int nth = dates.requireNth();
    DayOfWeek weekday = dates.requireWeekday();
    cursor.require("of the month");
    LocalTime at = times.timeOrUsual();
    return cursor.meaning(from, () -> new WaitRule.UntilNthWeekday(nth, weekday, at));
  }

  private WaitRule onDay(int from, int day) {
    int here = cursor.end();
    cursor.silently(",");
    cursor.could("09:00");
    Optional<LocalTime> at = Optional.ofNullable(times.time());
    if (at.isEmpty()) {
      cursor.back(here);
    }
    cursor.silently("of the journey");
    IfPast past = ifPast();
    return cursor.meaning(from, () -> new WaitRule.UntilDay(day, at, past));
  }

  private IfPast ifPast() {
    if (cursor.also("or finish if that is past")) {
      return new IfPast.End();
    }
    if (!cursor.also("or skip to")) {
      return new IfPast.GoOn();
    }
    int from = cursor.at();
    String step = cursor.name("step", List.of(), "if");
    cursor.silently("if that is past");
    return cursor.meaning(from, () -> new IfPast.SkipTo(new StepId(step)));
  }
}
