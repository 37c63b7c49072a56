package org.opentrellis.app.journeys;

import io.swagger.v3.oas.annotations.media.Schema;
import org.opentrellis.app.http.Schemas;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

@RestController
@RequestMapping("/api/strands/{id}/looks")
class StrandLookController {
  private final StrandLooks looks;

  StrandLookController(StrandLooks looks) {
    this.looks = looks;
  }

  /** A strand as it is on the screen. */
  record StrandDraft(@Schema(ref = Schemas.STRAND) JsonNode document) {}

  /** Says what a strand would change that need not be saved; nothing is kept. */
  @PostMapping
  StrandLooks.StrandLook lookAtStrand(@PathVariable String id, @RequestBody StrandDraft draft) {
    return looks.look(id, draft.document());
  }
}
