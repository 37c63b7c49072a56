package org.opentrellis.app.calendar;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.calendar.Calendar.CalendarAsked;
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
      @RequestParam(required = false) @Nullable LocalDate from,
      @RequestParam(defaultValue = "21") int days,
      @RequestParam(defaultValue = "") String who,
      @RequestParam(defaultValue = "") List<String> draft) {
    return calendar.view(new CalendarAsked(from, days, who, draft));
  }

  /** One of these days hour by hour. */
  @GetMapping("/days/{day}")
  DayView getDay(
      @PathVariable LocalDate day,
      @RequestParam(required = false) @Nullable LocalDate from,
      @RequestParam(defaultValue = "21") int days,
      @RequestParam(defaultValue = "") String who,
      @RequestParam(defaultValue = "") List<String> draft) {
    return calendar.day(new CalendarAsked(from, days, who, draft), day);
  }
}
