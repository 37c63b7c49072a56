package org.opentrellis.app.cohorts;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.OffsetDateTime;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * A cohort kept under a name.
 *
 * @param words who it is, in a sentence
 */
record CohortView(
    long id,
    String name,
    String words,
    OffsetDateTime savedAt,
    @Schema(ref = Schemas.COHORT) JsonNode cohort) {}
