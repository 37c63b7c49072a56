package org.opentrellis.app.cohorts;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.ApiDocument;
import tools.jackson.databind.JsonNode;

/** A cohort to be kept under a name, over the one of that name if there is one. */
record CohortOrder(
    @Nullable String name, @Schema(ref = ApiDocument.COHORT) @Nullable JsonNode cohort) {}
