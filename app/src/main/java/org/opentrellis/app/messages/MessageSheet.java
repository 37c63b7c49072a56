package org.opentrellis.app.messages;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * A message as it is written.
 *
 * @param labels by which it is found
 * @param links what conditions can ask about
 * @param starter that it was begun from
 */
public record MessageSheet(
    String id,
    String name,
    List<String> labels,
    boolean archived,
    @Schema(ref = Schemas.MANUSCRIPT) JsonNode manuscript,
    List<String> links,
    @Nullable String starter,
    int version) {}
