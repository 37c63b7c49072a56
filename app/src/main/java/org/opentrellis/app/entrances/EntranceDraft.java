package org.opentrellis.app.entrances;

import io.swagger.v3.oas.annotations.media.Schema;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * An entrance as it is to be kept.
 *
 * @param version that was changed
 */
record EntranceDraft(@Schema(ref = Schemas.ENTRANCE) JsonNode entrance, int version) {}
