package org.opentrellis.app.arrangements;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import org.opentrellis.app.http.Schemas;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

@RestController
@RequestMapping("/api/arrangements")
class ArrangementController {
  private final Arrangements arrangements;

  ArrangementController(Arrangements arrangements) {
    this.arrangements = arrangements;
  }

  /** Puts two versions of a journey together; nothing is kept. */
  @PostMapping("/merges")
  @ApiResponse(content = @Content(schema = @Schema(ref = Schemas.JOURNEY)))
  JsonNode mergeJourneys(@RequestBody MergeOrder order) {
    return arrangements.merge(order);
  }

  /** Arranges the steps of a journey that need not be saved; nothing is kept. */
  @PostMapping
  ArrangementView arrangeSteps(@RequestBody ArrangementOrder order) {
    return arrangements.arrange(order);
  }
}
