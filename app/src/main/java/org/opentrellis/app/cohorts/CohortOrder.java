package org.opentrellis.app.cohorts;

import io.swagger.v3.oas.annotations.media.Schema;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/** A cohort to be kept under a name, over the one of that name if there is one. */
record CohortOrder(String name, @Schema(ref = Schemas.COHORT) JsonNode cohort) {}
