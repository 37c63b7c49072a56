package org.opentrellis.app.calendar;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.calendar.Calendar.CalendarAsked;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/calendar")
class CalendarController {
  private final Calendar calendar;
  private final RulesTried tried;

  CalendarController(Calendar calendar, RulesTried tried) {
    this.calendar = calendar;
    this.tried = tried;
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

  /** What rules of journeys would do for those who get too much on a day. */
  @GetMapping("/days/{day}/rules")
  List<RulesTried.TriedRule> tryRules(
      @PathVariable LocalDate day,
      @RequestParam(required = false) @Nullable LocalDate from,
      @RequestParam(defaultValue = "21") int days,
      @RequestParam(defaultValue = "") String who,
      @RequestParam(defaultValue = "") List<String> draft) {
    return calendar.rules(new CalendarAsked(from, days, who, draft), day);
  }

  /**
   * A rule that was tried.
   *
   * @param day for which
   */
  record RuleTaken(MailRule rule, LocalDate day) {}

  /** A journey keeps a rule as it is saved; it is put into effect where it is written. */
  @PutMapping("/journeys/{id}/rule")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeRule(@PathVariable long id, @RequestBody RuleTaken order) {
    tried.take(id, order.rule(), order.day().getDayOfWeek());
  }
}
