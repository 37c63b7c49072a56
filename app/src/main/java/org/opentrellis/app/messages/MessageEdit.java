package org.opentrellis.app.messages;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * A message as a user writes it.
 *
 * @param content an email's subject, or a text's words
 * @param voucher whether it gives something off
 * @param version the version it was read at; null for a new message
 */
public record MessageEdit(
    String name,
    @Schema(ref = Schemas.MESSAGE_CONTENT) JsonNode content,
    List<String> links,
    boolean voucher,
    @Nullable Integer version) {}
