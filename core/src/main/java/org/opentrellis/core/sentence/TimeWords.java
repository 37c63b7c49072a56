package org.opentrellis.core.sentence;

import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.journey.IfPast;
import org.opentrellis.core.journey.WaitRule;

/** Says waits. */
final class TimeWords {
  private final ConditionWords conditions;
  private final Style style;

  TimeWords(ConditionWords conditions, Style style) {
    this.conditions = conditions;
    this.style = style;
  }

  Phrase say(WaitRule rule) {
    return switch (rule) {
      case WaitRule.For waits -> {
        Phrase phrase = Phrase.plain("Wait ").andStrong(waits.amount().inWords());
        Optional<TimeOfDay> then = waits.thenUntil();
        yield then.isEmpty()
            ? phrase
            : phrase.and(", then until ").andStrong(then.get().inWords()).and(" their time");
      }
      case WaitRule.Until until ->
          Phrase.plain("Wait until ").andStrong(until.moment().inWords()).and(" their time");
      case WaitRule.UntilDate until ->
          Phrase.plain("Wait until ")
              .andStrong(until.date() + " " + until.at())
              .and(past(until.ifPast()));
      case WaitRule.UntilDay until -> {
        String at = until.at().map(time -> ", " + time).orElse("");
        yield Phrase.plain("Wait until ")
            .andStrong("day " + until.day() + at)
            .and(" of the journey")
            .and(past(until.ifPast()));
      }
      case WaitRule.AroundDate around ->
          Phrase.plain("Wait until ")
              .andStrong(around(around.days()).replaceFirst("^on ", "") + " ")
              .and(style.name(around.field().value()))
              .andStrong(", " + around.at())
              .and(yearly(around.everyYear(), around.onFirstOfMarch()))
              .and(past(around.ifPast()));
      case WaitRule.UntilNthWeekday until ->
          Phrase.plain("Wait until the ")
              .andStrong(nth(until.nth()) + " " + weekday(until.weekday()) + " of the month")
              .andStrong(", " + until.at());
      case WaitRule.UntilHappens until ->
          Phrase.plain("Wait until they ")
              .and(conditions.say(until.condition()))
              .and(", at most ")
              .andStrong(until.atMost().inWords());
    };
  }

  /** "3 days before", "on", "1 day after". */
  static String around(int days) {
    if (days == 0) {
      return "on the day of";
    }
    return days(Math.abs(days)) + (days < 0 ? " before" : " after");
  }

  private static String nth(int nth) {
    return switch (nth) {
      case 1 -> "1st";
      case 2 -> "2nd";
      case 3 -> "3rd";
      case WaitRule.UntilNthWeekday.LAST -> "last";
      default -> nth + "th";
    };
  }

  private static String weekday(DayOfWeek day) {
    return day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
  }

  static String days(int count) {
    return count == 1 ? "1 day" : count + " days";
  }

  static String yearly(boolean everyYear, boolean onFirstOfMarch) {
    if (!everyYear) {
      return "";
    }
    return onFirstOfMarch ? ", every year, 29 February on 1 March" : ", every year";
  }

  private static String past(IfPast past) {
    return switch (past) {
      case IfPast.SkipTo skip ->
          ", or skip to " + Style.quoted(skip.step().value()) + " if that is past";
      case IfPast.GoOn on -> "";
      case IfPast.End end -> ", or finish if that is past";
    };
  }
}
