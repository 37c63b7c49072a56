package org.opentrellis.core.report;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.dryrun.EmailTally;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.SendCalendar;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.TextSegments;

/**
 * What goes out, by the local time of whoever gets it, from all journeys of a run together.
 *
 * @param firstDay the first of the days
 * @param emailsByDay up to the last day on which anything goes out
 * @param textsByDay for the same days
 * @param byWeekdayHour emails and texts by weekday, Monday first, and hour: 7 rows of 24
 * @param peakDay the day on which most goes out; null if nothing does
 * @param peakHour the hour of the week in which most goes out; null if nothing does
 * @param months calendar months, in order
 * @param texts what the texts are sent in, a line for each message that is sent as a text
 * @param mostInAWeek people by the most emails that they get within any seven days, from 0
 */
public record Outgoing(
    LocalDate firstDay,
    List<Long> emailsByDay,
    List<Long> textsByDay,
    List<List<Long>> byWeekdayHour,
    @Nullable Peak peakDay,
    @Nullable Peak peakHour,
    List<Month> months,
    List<TextLine> texts,
    List<Long> mostInAWeek) {

  /**
   * @param at the day's or the hour's place
   * @param messages how many go out then
   */
  public record Peak(int at, long messages) {}

  /**
   * @param month as YYYY-MM
   */
  public record Month(String month, long emails, long texts) {}

  /**
   * @param name of the message
   * @param segments that one of it takes, as it is written, with how to stop behind it
   * @param sent how many
   */
  public record TextLine(String name, int segments, long sent) {}

  static Outgoing of(Tallies run, LocalDate firstDay, Texting texting) {
    SendCalendar emails = run.emails();
    SendCalendar texts = run.texts();
    int days = Math.max(emails.days(), texts.days());
    List<Long> emailsByDay = byDay(emails, days);
    List<Long> textsByDay = byDay(texts, days);
    long[] week = new long[7 * 24];
    add(emails, firstDay, week);
    add(texts, firstDay, week);
    long[] both = new long[days];
    Arrays.setAll(both, day -> emailsByDay.get(day) + textsByDay.get(day));
    return new Outgoing(
        firstDay,
        emailsByDay,
        textsByDay,
        rows(week),
        peak(both),
        peak(week),
        months(firstDay, emailsByDay, textsByDay),
        texts(run, texting),
        mostInAWeek(run));
  }

  private static List<Long> byDay(SendCalendar calendar, int days) {
    List<Long> counts = new ArrayList<>();
    for (int day = 0; day < days; day++) {
      counts.add(day < calendar.days() ? calendar.on(day) : 0L);
    }
    return counts;
  }

  private static void add(SendCalendar calendar, LocalDate firstDay, long[] week) {
    int first = firstDay.getDayOfWeek().ordinal();
    for (int day = 0; day < calendar.days(); day++) {
      for (int hour = 0; hour < 24; hour++) {
        week[(first + day) % 7 * 24 + hour] += calendar.at(day, hour);
      }
    }
  }

  private static List<List<Long>> rows(long[] week) {
    List<List<Long>> rows = new ArrayList<>();
    for (int day = 0; day < 7; day++) {
      rows.add(Arrays.stream(week, day * 24, day * 24 + 24).boxed().toList());
    }
    return rows;
  }

  private static @Nullable Peak peak(long[] counts) {
    int most = 0;
    for (int i = 1; i < counts.length; i++) {
      most = counts[i] > counts[most] ? i : most;
    }
    return counts.length == 0 || counts[most] == 0 ? null : new Peak(most, counts[most]);
  }

  private static List<Month> months(LocalDate firstDay, List<Long> emails, List<Long> texts) {
    Map<YearMonth, long[]> sums = new TreeMap<>();
    for (int day = 0; day < emails.size(); day++) {
      long[] sum =
          sums.computeIfAbsent(YearMonth.from(firstDay.plusDays(day)), month -> new long[2]);
      sum[0] += emails.get(day);
      sum[1] += texts.get(day);
    }
    return sums.entrySet().stream()
        .map(
            month -> new Month(month.getKey().toString(), month.getValue()[0], month.getValue()[1]))
        .toList();
  }

  private static List<TextLine> texts(Tallies run, Texting texting) {
    Map<String, TextLine> lines = new TreeMap<>();
    for (JourneyTally journey : run.journeys()) {
      for (int send = 0; send < journey.sends().size(); send++) {
        if (journey.program().isText(send)) {
          Message text = journey.program().messages(send).get(0);
          EmailTally tally = journey.sends().get(send);
          int segments = TextSegments.of(texting.ended(text.headline()));
          TextLine line = new TextLine(text.name(), segments, tally.sent());
          lines.merge(
              text.id().value(),
              line,
              (one, two) -> new TextLine(one.name, one.segments, one.sent + two.sent));
        }
      }
    }
    return List.copyOf(lines.values());
  }

  private static List<Long> mostInAWeek(Tallies run) {
    long[] all = run.mostInAWeek();
    int last = all.length - 1;
    while (last > 0 && all[last] == 0) {
      last--;
    }
    return Arrays.stream(all, 0, last + 1).boxed().toList();
  }
}
