package org.opentrellis.app.live;

import org.opentrellis.app.dryruns.RunProgress;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/live")
class LiveController {
  private final Glasshouse glasshouse;
  private final Hands hands;
  private final Crowds crowds;
  private final ClockTurning turning;
  private final LiveReports reports;
  private final Forecasts forecasts;
  private final Lessons lessons;
  private final Audit audit;

  LiveController(
      Glasshouse glasshouse,
      Hands hands,
      Crowds crowds,
      ClockTurning turning,
      LiveReports reports,
      Forecasts forecasts,
      Lessons lessons,
      Audit audit) {
    this.glasshouse = glasshouse;
    this.crowds = crowds;
    this.hands = hands;
    this.turning = turning;
    this.reports = reports;
    this.forecasts = forecasts;
    this.lessons = lessons;
    this.audit = audit;
  }

  /** What runs now: the clock, open journeys with who is where, what happened last, trouble. */
  @GetMapping
  GlasshouseView getLive() {
    return glasshouse.view();
  }

  /** Lets simulated people come into open journeys, from the day after tomorrow on. */
  @PostMapping("/crowds")
  @ResponseStatus(HttpStatus.CREATED)
  Crowds.CrowdView letCrowdCome(@RequestBody CrowdOrder order) {
    return crowds.come(order);
  }

  /** Turns the clock on; it goes on behind the caller. */
  @PostMapping("/clock")
  ClockView turnClock(@RequestBody ClockOrder order) {
    return turning.turn(order);
  }

  /** Has the turning end after the moment that it is at. */
  @DeleteMapping("/clock")
  ClockView stopClock() {
    return turning.stop();
  }

  /** Puts somebody into an open journey by hand. */
  @PostMapping("/journeys/{journey}/people")
  PersonLive putIn(@PathVariable long journey, @RequestBody Hands.PutInOrder order) {
    return hands.putIn(journey, order.person());
  }

  /** Takes somebody out of a journey. */
  @DeleteMapping("/journeys/{journey}/people/{person}")
  PersonLive takeOut(@PathVariable long journey, @PathVariable long person) {
    return hands.takeOut(journey, person);
  }

  /** Has somebody go on from where they wait in a journey. */
  @PostMapping("/journeys/{journey}/people/{person}/forward")
  PersonLive putForward(
      @PathVariable long journey,
      @PathVariable long person,
      @RequestBody Hands.ForwardOrder order) {
    return hands.putForward(journey, order.from(), person);
  }

  /** Takes somebody out of a journey and puts them into another. */
  @PostMapping("/journeys/{journey}/people/{person}/move")
  PersonLive movePerson(
      @PathVariable long journey, @PathVariable long person, @RequestBody Hands.MoveOrder order) {
    return hands.move(journey, order.into(), person);
  }

  /** Where somebody stands, and what happened to them in journeys. */
  @GetMapping("/people/{person}")
  PersonLive getPersonLive(@PathVariable long person) {
    return glasshouse.person(person);
  }

  /** Who stands at a step of a journey, the longest there first. */
  @GetMapping("/journeys/{journey}/steps/{step}")
  StepPeople getStepPeople(@PathVariable long journey, @PathVariable String step) {
    return glasshouse.atStep(journey, step);
  }

  /** Begins to count what people went through in a journey, as a run beside the dry runs. */
  @PostMapping("/journeys/{journey}/reports")
  @ResponseStatus(HttpStatus.ACCEPTED)
  RunProgress beginReport(@PathVariable long journey) {
    return reports.begin(journey);
  }

  /**
   * What was forecast of a journey's people beside what happened to them. It is worked out when it
   * is asked for; ask again while it is being worked out.
   */
  @GetMapping("/journeys/{journey}/forecast")
  ForecastView getForecast(@PathVariable long journey) {
    return forecasts.view(journey);
  }

  /** Measures a journey's assumptions by those who came to it; nothing is saved. */
  @PostMapping("/journeys/{journey}/lessons")
  @ResponseStatus(HttpStatus.OK)
  LessonView learn(@PathVariable long journey) {
    return lessons.of(journey);
  }

  /** Lives everybody's life once more by the log, and tells what comes out otherwise. */
  @PostMapping("/audits")
  @ResponseStatus(HttpStatus.OK)
  Audit.Audited makeAudit() {
    return audit.all();
  }
}
