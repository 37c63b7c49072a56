package org.opentrellis.app.betterways;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * A journey with a better way taken over; nothing is saved.
 *
 * @param name what the edit is called
 * @param behaviour what is assumed of its people, if new emails are among them; null if it is as it
 *     was
 */
record TakenView(
    String name,
    @Schema(ref = Schemas.JOURNEY) JsonNode journey,
    @Schema(ref = Schemas.BEHAVIOUR) @Nullable JsonNode behaviour) {}
