package org.opentrellis.app.letters;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * A message as it is to be looked at.
 *
 * @param person as whom; null for a made-up one
 * @param made the made-up one; null for one of whom nothing is known
 * @param dark whether the reader's system is dark
 */
record ProofOrder(
    @Schema(ref = Schemas.MANUSCRIPT) JsonNode manuscript,
    @Nullable Long person,
    @Nullable MadeUpPerson made,
    boolean dark) {}
