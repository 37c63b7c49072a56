package org.opentrellis.app.catalogue;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.OffsetDateTime;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/** One version of a segment. */
public record SegmentView(
    int version, OffsetDateTime savedAt, @Schema(ref = Schemas.SEGMENT) JsonNode document) {}
