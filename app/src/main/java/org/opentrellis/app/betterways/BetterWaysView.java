package org.opentrellis.app.betterways;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.search.BetterWays;
import tools.jackson.databind.JsonNode;

/**
 * The last search from a dry run.
 *
 * @param wish what was looked for; null if nothing was yet
 * @param found what it came to; null before
 */
record BetterWaysView(
    @Schema(ref = Schemas.SEARCH_WISH) @Nullable JsonNode wish, @Nullable BetterWays found) {}
