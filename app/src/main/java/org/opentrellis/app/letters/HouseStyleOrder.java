package org.opentrellis.app.letters;

import io.swagger.v3.oas.annotations.media.Schema;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * How all messages are to look.
 *
 * @param version the version it was read at
 */
record HouseStyleOrder(@Schema(ref = Schemas.HOUSE_STYLE) JsonNode style, int version) {}
