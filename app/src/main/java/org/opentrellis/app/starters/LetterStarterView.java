package org.opentrellis.app.starters;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Map;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.format.Documents;
import tools.jackson.databind.JsonNode;

/**
 * A ready-made email to begin from.
 *
 * @param reasons for its parts, by their ids
 */
record LetterStarterView(
    String id,
    String name,
    @Schema(ref = Schemas.MANUSCRIPT) JsonNode manuscript,
    Map<String, String> reasons) {

  static LetterStarterView of(LetterStarter one) {
    return new LetterStarterView(one.id(), one.name(), Documents.write(one.email()), one.reasons());
  }
}
