package org.opentrellis.app.calibrations;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/journeys/{id}/calibrations")
class CalibrationController {
  private final Calibrations calibrations;

  CalibrationController(Calibrations calibrations) {
    this.calibrations = calibrations;
  }

  /** The body is the history itself, as CSV. */
  @PostMapping(consumes = "text/csv")
  CalibrationView calibrate(
      @PathVariable long id,
      @RequestBody(required = false) @Nullable String csv,
      @RequestParam(required = false) @Nullable Instant until) {
    return calibrations.fit(id, csv, until);
  }
}
