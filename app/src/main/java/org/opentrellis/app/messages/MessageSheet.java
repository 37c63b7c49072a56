package org.opentrellis.app.messages;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * A message as it is written.
 *
 * @param labels by which it is found
 * @param links what conditions can ask about
 */
public record MessageSheet(
    String id,
    String name,
    List<String> labels,
    boolean archived,
    @Schema(ref = Schemas.MANUSCRIPT) JsonNode manuscript,
    List<String> links,
    int version) {}
