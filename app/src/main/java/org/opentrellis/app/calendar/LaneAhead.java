package org.opentrellis.app.calendar;

import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.core.ahead.Days;
import org.opentrellis.core.ahead.Outlook;

/**
 * A lane of the calendar.
 *
 * @param id of the journey or newsletter; of news, whose numbers are its own, below 0
 * @param gone emails that have gone, by hour
 * @param readers who get it, of a newsletter
 * @param mainDays the days on which these do, from 0; none but those shown
 * @param coming the newsletter, if it can still be moved
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
    List<Integer> mainDays,
    Optional<Newsletters.Coming> coming) {

  /** One of which nothing has gone yet, and that is for no readers known by name. */
  static LaneAhead of(
      long id, CalendarView.LaneKind kind, String name, String note, boolean sure, Outlook ahead) {
    return new LaneAhead(
        id,
        kind,
        name,
        note,
        sure,
        ahead,
        hours(ahead.days()),
        new BitSet(),
        List.of(),
        Optional.empty());
  }

  static long ofNews(long series) {
    return -series;
  }

  static long[] hours(Days days) {
    return new long[days.count() * 24];
  }
}
