package org.opentrellis.app.arrangements;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Set;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * Two versions of a journey to put together.
 *
 * @param rows the rows that are to be as in {@code ours}; all else is as in {@code theirs}
 */
record MergeOrder(
    @Schema(ref = Schemas.JOURNEY) JsonNode theirs,
    @Schema(ref = Schemas.JOURNEY) JsonNode ours,
    Set<String> rows) {}
