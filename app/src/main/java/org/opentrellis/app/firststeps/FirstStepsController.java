package org.opentrellis.app.firststeps;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/first-steps")
class FirstStepsController {
  private final FirstSteps steps;

  FirstStepsController(FirstSteps steps) {
    this.steps = steps;
  }

  @GetMapping
  FirstStepsView getFirstSteps() {
    return steps.view();
  }

  @PutMapping
  FirstStepsView putFirstStepsAway(@RequestBody FirstStepsView.PutAway order) {
    steps.putAway(order.putAway());
    return steps.view();
  }
}
