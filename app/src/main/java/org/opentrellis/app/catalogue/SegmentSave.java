package org.opentrellis.app.catalogue;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * A segment as a user saves it.
 *
 * @param version the one that it was read at; null for a new one
 */
record SegmentSave(@Nullable Integer version, @Schema(ref = Schemas.SEGMENT) JsonNode document) {}
