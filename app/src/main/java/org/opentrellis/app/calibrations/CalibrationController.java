package org.opentrellis.app.calibrations;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
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

  /** The body is the history itself, as CSV; it is read as it comes. */
  @RequestBody(
      content = @Content(mediaType = "text/csv", schema = @Schema(type = "string")),
      required = true)
  @PostMapping(consumes = "text/csv")
  CalibrationView calibrate(
      @PathVariable long id,
      InputStream csv,
      @RequestParam(required = false) @Nullable Instant until) {
    return calibrations.fit(id, new InputStreamReader(csv, StandardCharsets.UTF_8), until);
  }
}
