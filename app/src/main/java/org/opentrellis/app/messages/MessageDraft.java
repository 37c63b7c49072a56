package org.opentrellis.app.messages;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * A message as somebody wants it saved.
 *
 * @param version the version it was read at
 */
public record MessageDraft(
    String name,
    List<String> labels,
    @Schema(ref = Schemas.MANUSCRIPT) JsonNode manuscript,
    int version) {}
