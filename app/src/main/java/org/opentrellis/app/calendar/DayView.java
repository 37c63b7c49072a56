package org.opentrellis.app.calendar;

import java.time.LocalDate;
import java.util.List;

/**
 * A day hour by hour.
 *
 * @param says which hour is the fullest, and the like
 */
record DayView(LocalDate day, List<DayLane> lanes, List<String> says) {

  /**
   * @param hours emails in each hour of the account's clock
   */
  record DayLane(long id, CalendarView.LaneKind kind, String name, List<Double> hours) {}
}
