package org.opentrellis.app.messages;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * A message as the API gives it.
 *
 * @param content an email's subject, or a text's words
 * @param labels by which it is found
 */
public record MessageView(
    String id,
    String name,
    @Schema(ref = Schemas.MESSAGE_CONTENT) JsonNode content,
    List<String> links,
    boolean voucher,
    List<String> labels,
    boolean archived,
    int version) {}
