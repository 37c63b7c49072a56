package org.opentrellis.app.calendar;

import java.util.BitSet;
import java.util.Optional;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.core.ahead.Days;
import org.opentrellis.core.ahead.Outlook;

/**
 * A lane of the calendar.
 *
 * @param gone emails that have gone, by hour
 * @param readers who get it, of a newsletter
 * @param mainDay the day on which these do, from 0; -1 if it is none of those shown
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
    int mainDay,
    Optional<Newsletters.Coming> coming) {

  /** One of which nothing has gone yet, and that is for no readers known by name. */
  static LaneAhead of(
      long id, CalendarView.LaneKind kind, String name, String note, boolean sure, Outlook ahead) {
    return new LaneAhead(
        id, kind, name, note, sure, ahead, hours(ahead.days()), new BitSet(), -1, Optional.empty());
  }

  static long[] hours(Days days) {
    return new long[days.count() * 24];
  }
}
