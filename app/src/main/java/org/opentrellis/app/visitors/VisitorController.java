package org.opentrellis.app.visitors;

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
@RequestMapping("/api/visitors")
class VisitorController {
  private final VisitorCrowds visitors;

  VisitorController(VisitorCrowds visitors) {
    this.visitors = visitors;
  }

  /** By which forms simulated people may come in, and those who were let come. */
  @GetMapping
  VisitorsView getVisitors() {
    return visitors.view();
  }

  /** Lets simulated people come in by a form, from the day after tomorrow on. */
  @PostMapping("/crowds")
  @ResponseStatus(HttpStatus.CREATED)
  VisitorsView letVisitorsCome(@RequestBody VisitorOrder order) {
    return visitors.come(order);
  }

  /** Nobody of a crowd comes any more; those who have come go on. */
  @DeleteMapping("/crowds/{crowd}/coming")
  VisitorsView stopVisitors(@PathVariable long crowd) {
    return visitors.stop(crowd);
  }
}
