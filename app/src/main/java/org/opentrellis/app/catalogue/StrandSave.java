package org.opentrellis.app.catalogue;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * A strand as a user saves it.
 *
 * @param version the one that it was read at; null for a new one
 */
record StrandSave(@Nullable Integer version, @Schema(ref = Schemas.STRAND) JsonNode document) {}
