package org.opentrellis.app.insights;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * Who enters, and how they react, instead of what a run was made with.
 *
 * @param cohort null for the run's own
 */
record PreviewOrder(
    @Schema(ref = Schemas.COHORT) @Nullable JsonNode cohort,
    @Schema(ref = Schemas.BEHAVIOUR) @Nullable JsonNode behaviour) {}
