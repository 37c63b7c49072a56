package org.opentrellis.app.entrances;

import io.swagger.v3.oas.annotations.media.Schema;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * The page of choices.
 *
 * @param version 0 if nobody has changed it yet
 */
record ChoicesView(int version, @Schema(ref = Schemas.CHOICES_PAGE) JsonNode page) {}
