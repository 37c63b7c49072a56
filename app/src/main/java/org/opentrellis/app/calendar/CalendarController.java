package org.opentrellis.app.calendar;

import java.time.LocalDate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/calendar")
class CalendarController {
  private final Calendar calendar;

  CalendarController(Calendar calendar) {
    this.calendar = calendar;
  }

  /** What goes out on some days. */
  @GetMapping
  CalendarView getCalendar(
      @RequestParam LocalDate from,
      @RequestParam(defaultValue = "21") int days,
      @RequestParam(defaultValue = "") String who) {
    return calendar.view(from, days, who);
  }

  /** One of these days hour by hour. */
  @GetMapping("/days/{day}")
  DayView getDay(
      @PathVariable LocalDate day,
      @RequestParam LocalDate from,
      @RequestParam(defaultValue = "21") int days,
      @RequestParam(defaultValue = "") String who) {
    return calendar.day(from, days, who, day);
  }
}
