package org.opentrellis.app.health;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/health")
class HealthController {
  private final AccountHealth health;

  HealthController(AccountHealth health) {
    this.health = health;
  }

  /** Whether mail is welcome: what became of the last weeks', and who opens nothing. */
  @GetMapping
  HealthView getHealth(@RequestParam(defaultValue = "90") int days) {
    return health.view(days);
  }
}
