package org.opentrellis.app.calendar;

import java.time.LocalDate;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.core.ahead.Days;
import org.opentrellis.core.ahead.Outlook;
import org.opentrellis.core.newsletter.Going;

/**
 * A lane of the calendar.
 *
 * @param id of the journey or newsletter; of news, whose numbers are its own, below 0
 * @param gone emails that have gone, by hour
 * @param readers who get the letters
 * @param letters that are still to go to these, each at its moment
 */
record LaneAhead(
    long id,
    CalendarView.LaneKind kind,
    String name,
    String note,
    boolean sure,
    Outlook ahead,
    long[] gone,
    BitSet readers,
    List<Newsletters.Coming> letters) {

  /** One of which nothing has gone yet, and that is for no readers known by name. */
  static LaneAhead of(
      long id, CalendarView.LaneKind kind, String name, String note, boolean sure, Outlook ahead) {
    return new LaneAhead(
        id, kind, name, note, sure, ahead, hours(ahead.days()), new BitSet(), List.of());
  }

  static long ofNews(long series) {
    return -series;
  }

  static long[] hours(Days days) {
    return new long[days.count() * 24];
  }

  /** The newsletter, if it can still be moved. */
  Optional<Newsletters.Coming> movable() {
    return kind == CalendarView.LaneKind.NEWSLETTER
        ? letters.stream().findFirst()
        : Optional.empty();
  }

  /** The days on which the readers get a letter, from 0. */
  IntStream letterDays() {
    Days days = ahead.days();
    return letters.stream()
        .mapToInt(letter -> days.hourOf(at(letter, days)))
        .filter(hour -> hour >= 0)
        .map(hour -> hour / 24);
  }

  /** When a letter goes by the account's clock, in epoch seconds. */
  static long at(Newsletters.Coming letter, Days days) {
    Going going = letter.newsletter().going().orElseThrow();
    LocalDate date = going.date();
    return date.atTime(going.at()).atZone(days.zone()).toEpochSecond();
  }
}
