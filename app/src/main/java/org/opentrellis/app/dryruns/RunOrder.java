package org.opentrellis.app.dryruns;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * What a user asks a dry run to be.
 *
 * @param journeys the journeys to run as one population; the first says what people buy
 * @param cohort who enters, at most 10,000,000 people, and 2,000,000,000 where a cluster takes them
 * @param cohortId the kept cohort that it began from, or null
 * @param seed the same seed gives the same people
 * @param horizonDays how long each person is followed, 1 to 730
 */
record RunOrder(
    List<Long> journeys,
    @Schema(ref = Schemas.COHORT) JsonNode cohort,
    @Nullable Long cohortId,
    long seed,
    int horizonDays) {}
