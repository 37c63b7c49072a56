package org.opentrellis.app.letters;

import io.swagger.v3.oas.annotations.media.Schema;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/** A message as it is written, without a name. */
record ManuscriptOnly(@Schema(ref = Schemas.MANUSCRIPT) JsonNode manuscript) {}
